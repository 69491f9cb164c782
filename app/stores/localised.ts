import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import { emptyLocalised, type Localised } from '../../core/brief/items/localised'
import type { BriefItem } from '../../shared/briefItems'
import { api, messageOf } from '~/composables/api'
import { useSavedItem, type Revised } from '~/composables/savedItem'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useNotices } from './notices'

type Item = BriefItem<'localised'>
const flat = ({ id, revision, value }: Item): Revised<Localised> => ({ id, revision, ...value })

/** The texts of the open brief in other languages, and the one that is open. */
export const useLocalised = defineStore('localised', () => {
  const brief = useBrief()
  const changes = useChanges()
  const notices = useNotices()
  const items = shallowRef<Item[] | null>(null)
  const problem = ref('')
  const briefId = computed(() => brief.brief?.id ?? null)

  /** Whose each of them is: what was typed for one brief is saved there, also when another one is open by then. */
  const owners = new Map<string, string>()
  const ownerOf = (id: string) => owners.get(id) ?? briefId.value!

  async function fetchItems(of: string) {
    const found = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'localised' } })
    for (const { id } of found.items) owners.set(id, of)
    if (of === briefId.value) items.value = found.items as Item[]
    return found.items as Item[]
  }
  async function load() {
    const of = briefId.value
    if (!of) return
    try {
      await fetchItems(of)
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }

  const put = async (id: string, revision: number, value: Localised, keepalive = false) =>
    (await api('PUT /api/briefs/:id/items/:item', {
      params: { id: ownerOf(id), item: id },
      body: { kind: 'localised', revision, value },
      keepalive,
    })) as Item
  const item = useSavedItem<Localised, Revised<Localised>>({
    async read(id) {
      const found = (await fetchItems(ownerOf(id))).find(each => each.id === id)
      if (!found) throw new Error('These texts were deleted.')
      return flat(found)
    },
    async save({ id, revision, ...before }, change, keepalive) {
      return flat(await put(id, revision, { ...before, ...change }, keepalive))
    },
    theirs: details => flat((details as { theirs: Item }).theirs),
  })
  watch(
    briefId,
    () => {
      items.value = null
      void load()
    },
    { immediate: true },
  )
  watch(
    () => changes.revisions.briefs,
    () => void Promise.all([load(), item.loadOpen()]),
  )
  return {
    items,
    problem,
    load,
    ...item,
    /** @returns its id, or `null` where it could not be made. */
    async make(language: string, region: string | null): Promise<string | null> {
      const id = uuid()
      try {
        await put(id, 0, emptyLocalised(language, region))
        await load()
        return id
      } catch (error) {
        notices.show(messageOf(error), { serious: true })
        return null
      }
    },
    async remove({ id, revision, ...value }: Revised<Localised>, name: string) {
      try {
        await api('DELETE /api/briefs/:id/items/:item', { params: { id: ownerOf(id), item: id } })
        await load()
        notices.show(`Texts in ${name} deleted.`, {
          undo: async () => {
            await put(id, revision + 1, value)
            await load()
          },
        })
      } catch (error) {
        notices.show(messageOf(error), { serious: true })
      }
    },
  }
})
