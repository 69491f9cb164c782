<script setup lang="ts">
import { v4 as uuid } from 'uuid'
import { computed, onBeforeUnmount, ref } from 'vue'
import type { BodyOf } from '../../../../shared/api'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { WINDOW } from '~/composables/window'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useNotices } from '~/stores/notices'

/** Descriptions for all briefs of a series in one go, each with its own phrases; what is written anywhere stays. */
const props = defineProps<{ question: Omit<BodyOf<'POST /api/descriptions/compose'>, 'phrases' | 'seed'> }>()
const brief = useBrief()
const library = useLibrary()
const notices = useNotices()
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
  const written: string[] = []
  let left = 0
  try {
    for (const [i, { id }] of series.value.entries()) {
      if (stopped) break
      const { fields, revisions } = await api('GET /api/briefs/:id', { params: { id } })
      if (fields.description.trim() || !fields.tray.lead) left++
      else {
        const phrases = { lead: fields.tray.lead, support: fields.tray.support }
        const { description } = await api('POST /api/descriptions/compose', {
          // Another wording for each, so that none is the copy of another.
          body: { ...props.question, phrases, language: fields.language, seed: i },
        })
        await api('PATCH /api/briefs/:id', {
          params: { id },
          body: {
            editId: uuid(),
            client: WINDOW,
            fields: { description: { revision: revisions.description, value: description } },
          },
        })
        if (id === brief.brief?.id) await brief.follow()
        written.push(id)
      }
      done.value = i + 1
    }
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
    done.value = null
    return
  }
  done.value = null
  notices.show(
    `${counted(written.length, 'description')} composed${left ? `; ${left} left as they are, with a text or without a lead` : ''}.`,
  )
}
</script>

<template>
  <p class="small series" data-test="series">
    <template v-if="done === null">
      This brief is one of a series of {{ series.length }}.
      <v-btn size="small" variant="tonal" data-test="series-compose" @click="composeAll"
        >Compose all that are empty</v-btn
      >
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
