<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import { expandBlock, findBlock, findLive, withBlock } from '../../../../core/blocks/block'
import type { BriefItem } from '../../../../shared/briefItems'
import type { BlockUse, SavedBlock } from '../../../../shared/workspaceItems'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** Standing pieces of text, and pieces of earlier briefs, to put into the description. */
const brief = useBrief()
const items = useWorkspaceItems()
const notices = useNotices()
const changes = useChanges()
const fields = computed(() => brief.fields!)
const id = computed(() => brief.brief!.id)

type Placed = BriefItem<'placed'>
const placed = shallowRef<Placed[]>([])
const { texts, save: saveTexts } = useWorkspaceTexts(computed(() => brief.brief!.workspaceId))
/** Variables of the workspace, with what this brief fills in. */
const values = computed<Record<string, string>>(() => ({
  ...texts.value.variables,
  town: brief.brief!.seriesPlace || texts.value.town,
}))
async function load() {
  const of = id.value
  try {
    const found = await api('GET /api/briefs/:id/items', { params: { id: of }, query: { kind: 'placed' } })
    if (of === id.value) placed.value = found.items as Placed[]
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
watch([id, () => changes.revisions.briefs], () => void load(), { immediate: true })

const expanded = (text: string) =>
  expandBlock(text, {
    ...values.value,
    title: fields.value.title,
    lead: fields.value.tray.lead ?? '',
    year: String(new Date(now()).getUTCFullYear()),
  })
/** How a block stands in this description. */
function standing({ id: block, text }: SavedBlock): 'live' | 'behind' | 'edited' | 'text' | null {
  const live = placed.value.find(each => each.value.block === block)
  const now = expanded(text).text
  if (!live) return findBlock(fields.value.description, now) ? 'text' : null
  const there = findLive(fields.value.description, live.value.text, now)
  return there ? (there.behind ? 'behind' : 'live') : 'edited'
}
/** Title or lead changed since it was put there. */
async function refill(block: SavedBlock) {
  const before = placed.value.find(each => each.value.block === block.id)!
  const { text } = expanded(block.text)
  const { description } = fields.value
  const at = findLive(description, before.value.text, text)
  if (!at) return
  brief.change(
    `Block “${block.name}” filled in anew.`,
    'description',
    description.slice(0, at.start) + text + description.slice(at.end),
  )
  await keepPlaced(block, text)
}
const IN_WORDS = {
  live: 'in this description, live',
  behind: 'in this description, live, filled in with an earlier title or lead',
  edited: 'edited in this description',
  text: 'in this description',
}

async function put(block: SavedBlock, live: boolean) {
  const { text, unknown } = expanded(block.text)
  brief.change(`Block “${block.name}” added.`, 'description', withBlock(fields.value.description, text))
  if (unknown.length) notices.show(`No value for ${unknown.map(name => `{${name}}`).join(', ')}: a gap is left.`)
  if (live) await keepPlaced(block, text)
}
/** Remembers how a block was filled in, so that it is found again. */
async function keepPlaced(block: SavedBlock, text: string) {
  try {
    const before = placed.value.find(each => each.value.block === block.id)
    await api('PUT /api/briefs/:id/items/:item', {
      params: { id: id.value, item: before?.id ?? uuid() },
      body: { kind: 'placed', revision: before?.revision ?? 0, value: { block: block.id, text } },
    })
    await load()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}

const editing = ref<{ block: SavedBlock | null; name: string; text: string; standing: boolean } | null>(null)
const nameField = ref<{ focus: () => void } | null>(null)
const uses = shallowRef<BlockUse[]>([])
const follow = ref<string[]>([])
async function edit(block: SavedBlock | null, text = '') {
  uses.value = []
  follow.value = []
  editing.value = { block, name: block?.name ?? '', text: block?.text ?? text, standing: block?.standing ?? false }
  await nextTick()
  nameField.value?.focus()
  if (!block) return
  try {
    uses.value = (await api('GET /api/blocks/:id', { params: { id: block.id } })).uses
    follow.value = uses.value.filter(use => use.live && !use.edited).map(use => use.brief)
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
}
async function save() {
  const { block, name, text, standing } = editing.value!
  await brief.flush()
  if (!block) {
    if (await items.addBlock({ name, text, standing })) editing.value = null
    return
  }
  const before = { name: block.name, text: block.text, standing: block.standing }
  const asked = [...follow.value]
  const { done, left } = await items.setBlock(block, { name, text, standing }, asked)
  if (!done) return
  await brief.follow()
  editing.value = null
  const followed = asked.length - left.length
  notices.show(
    `Block “${name}” saved${followed ? `, and changed in ${counted(followed, 'description')}` : ''}${left.length ? `; left in ${left.length} where it was edited` : ''}.`,
    {
      undo: async () => {
        const now = items.blocks?.find(each => each.id === block.id)
        if (now) await items.setBlock(now, before, asked)
        await brief.follow()
      },
    },
  )
}
</script>

<template>
  <section class="blocks sheet" aria-label="Blocks" data-test="blocks">
    <div class="bar">
      <h3>Blocks</h3>
      <v-spacer />
      <v-btn size="small" variant="tonal" data-test="block-new" @click="edit(null)">New block</v-btn>
    </div>
    <p v-if="items.problem" role="alert" class="small">
      {{ items.problem }} <button class="plain link" @click="items.load()">Try again</button>
    </p>
    <v-skeleton-loader v-else-if="!items.blocks" type="list-item@2" />
    <p v-else-if="!items.blocks.length && !editing" class="small muted">
      No blocks yet. Save what belongs under many videos: links, gear, contact, music.
    </p>
    <form v-if="editing" class="edit" data-test="block-edit" @submit.prevent="save" @keydown.escape="editing = null">
      <v-text-field
        ref="nameField"
        v-model="editing.name"
        label="Name"
        maxlength="120"
        hide-details
        data-test="block-name"
      />
      <v-textarea
        v-model="editing.text"
        label="Text; {title}, {lead}, {year}, {town} and your own variables are filled in"
        rows="4"
        auto-grow
        max-rows="10"
        maxlength="5000"
        hide-details
        data-test="block-text"
      />
      <v-checkbox
        v-model="editing.standing"
        label="Belongs in every description"
        hide-details
        density="compact"
        data-test="block-standing"
      />
      <template v-if="uses.length">
        <p class="small">It stands in {{ counted(uses.length, 'description') }}. Those chosen follow the change:</p>
        <v-checkbox
          v-for="use in uses"
          :key="use.brief"
          v-model="follow"
          :value="use.brief"
          :label="`${use.topic}${use.edited ? ' (edited there)' : use.live ? '' : ' (plain text)'}`"
          :disabled="!use.live || use.edited"
          hide-details
          density="compact"
          data-test="block-use"
        />
      </template>
      <div class="bar">
        <v-btn
          type="submit"
          size="small"
          variant="flat"
          color="primary"
          :disabled="!editing.name.trim()"
          data-test="block-save"
          >Save</v-btn
        ><v-btn size="small" @click="editing = null">Cancel</v-btn>
      </div>
    </form>
    <ul>
      <li v-for="block in items.blocks ?? []" :key="block.id" data-test="block">
        <div class="bar">
          <strong>{{ block.name }}</strong>
          <span class="small muted"
            ><template v-if="block.standing">in every description; </template
            >{{ standing(block) ? IN_WORDS[standing(block)!] : 'not in this description' }}</span
          >
        </div>
        <p class="text small">{{ expanded(block.text).text }}</p>
        <div class="bar">
          <v-btn
            v-if="standing(block) === 'behind'"
            size="x-small"
            variant="tonal"
            data-test="block-refill"
            @click="refill(block)"
            >Fill in anew</v-btn
          >
          <v-btn
            v-else
            size="x-small"
            variant="tonal"
            data-test="block-live"
            :disabled="standing(block) !== null && standing(block) !== 'edited'"
            @click="put(block, true)"
            >Add live</v-btn
          >
          <v-btn
            size="x-small"
            variant="tonal"
            data-test="block-plain"
            :disabled="standing(block) !== null && standing(block) !== 'edited'"
            @click="put(block, false)"
            >Add as text</v-btn
          >
          <v-btn size="x-small" data-test="block-change" @click="edit(block)">Edit</v-btn>
          <v-btn size="x-small" @click="items.removeBlock(block)">Delete</v-btn>
        </div>
      </li>
    </ul>
    <DeskBlocksVariables :texts="texts" :save="saveTexts" />
    <DeskBlocksEarlier @save="edit(null, $event)" />
  </section>
</template>

<style scoped>
.blocks {
  overflow-y: auto;
  min-height: 0;
  padding: 10px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
h3 {
  font-size: 13px;
}
.edit {
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 10px;
  display: grid;
  gap: 8px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 4px;
}
.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  max-height: 120px;
  overflow-y: auto;
}
.link {
  color: var(--teal);
}
</style>
