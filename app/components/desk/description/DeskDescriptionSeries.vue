<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, onBeforeUnmount, ref } from 'vue'
import { goTo } from '~/composables/address'
import { api, messageOf } from '~/composables/api'
import { composedTexts, type ComposeGiven } from '~/composables/composedTexts'
import { counted } from '~/composables/figures'
import { WINDOW } from '~/composables/window'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'

/** Texts for all briefs of a series in one go, each with its own phrases; what is written anywhere stays. */
const props = defineProps<{ question: ComposeGiven }>()
const brief = useBrief()
const library = useLibrary()
const notices = useNotices()
const limits = useLimits()
const series = computed(() => library.briefs.filter(each => each.seriesId === brief.brief!.seriesId))
const done = ref<number | null>(null)
let stopped = false
onBeforeUnmount(() => {
  stopped = true
})

async function composeAll() {
  stopped = false
  done.value = 0
  await brief.flush()
  let written = 0
  let left = 0
  try {
    for (const [i, { id }] of series.value.entries()) {
      if (stopped) break
      const before = await api('GET /api/briefs/:id', { params: { id } })
      // Another wording for each, so that none is the copy of another.
      const texts = Object.entries(await composedTexts(before, props.question, limits.value, i))
      if (texts.length) {
        const { revisions } = before as { revisions: Record<string, number> }
        const fields = Object.fromEntries(texts.map(([name, value]) => [name, { revision: revisions[name]!, value }]))
        await api('PATCH /api/briefs/:id', { params: { id }, body: { editId: uuid(), client: WINDOW, fields } })
        if (id === brief.brief?.id) await brief.follow()
        written++
      } else left++
      done.value = i + 1
    }
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
    done.value = null
    return
  }
  done.value = null
  await library.refresh()
  notices.show(
    `${counted(written, 'brief')} composed${left ? `; ${left} left as they are, with all their texts or without a lead` : ''}.`,
    { next: { label: 'See them', to: () => goTo({ path: '/library', query: { brief: brief.brief?.id } }) } },
  )
}
</script>

<template>
  <p class="small series" data-test="series">
    <template v-if="done === null">
      This brief is one of a series of {{ series.length }}: titles, descriptions, tags and file names.
      <v-btn size="small" variant="tonal" data-test="series-compose" @click="composeAll">Compose what they lack</v-btn>
    </template>
    <template v-else>
      {{ done }} of {{ series.length }} …
      <v-btn size="small" @click="stopped = true">Stop</v-btn>
    </template>
  </p>
</template>

<style scoped>
.series {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
