<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import type { OwnRival } from '../../../core/draft/ownRivals'
import { api, messageOf } from '~/composables/api'
import { inDigits } from '../../../core/text/inWords'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useChanges } from '~/stores/changes'
import { useTray } from '~/stores/tray'

/** Which of my own this one would push aside, and which lead would part them. */
const brief = useBrief()
const tray = useTray()
const changes = useChanges()
const rivals = shallowRef<OwnRival[]>([])
const problem = ref('')
const question = computed(() => {
  const { title, tray: phrases, region, language } = brief.fields!
  return {
    title,
    phrases: { lead: phrases.lead ?? '', support: [...phrases.support] },
    region,
    language,
    workspace: brief.brief!.workspaceId,
    brief: brief.brief!.id,
  }
})
async function load() {
  const asked = question.value
  try {
    const found = await api('POST /api/draft/own', { body: asked })
    if (asked === question.value) rivals.value = found.rivals
    problem.value = ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watchDebounced([() => JSON.stringify(question.value), () => changes.revisions.pages], () => void load(), {
  debounce: 600,
  immediate: true,
})
const why = ({ because, shared, rank }: OwnRival) =>
  because === 'lead'
    ? 'has the same lead'
    : because === 'results'
      ? `shares ${shared} of 20 results`
      : `stands at ${rank} for this lead`
</script>

<template>
  <section v-if="rivals.length || problem" aria-label="Own against own" data-test="own-rivals">
    <h2>Own against own</h2>
    <p v-if="problem" role="alert" class="small">
      Could not compare with your own. {{ problem }} <button class="plain link" @click="load">Try again</button>
    </p>
    <p v-else class="small muted">
      {{ counted(rivals.length, 'brief or video', 'briefs or videos') }} of yours
      {{ rivals.length === 1 ? 'competes' : 'compete' }} with this one for the same places.
    </p>
    <ul>
      <li v-for="each in rivals.slice(0, 8)" :key="each.id">
        <NuxtLink v-if="each.kind === 'brief'" :to="{ path: '/desk', query: { brief: each.id } }" class="name">{{
          each.title || 'Untitled brief'
        }}</NuxtLink><span v-else class="name">{{ each.title }}</span
        >{{ ' ' }}<span class="small">{{ why(each) }}</span
        ><span v-if="each.closeness >= 0.5" class="small muted"
          >; titles {{ Math.round(100 * each.closeness) }} % the same words</span
        >
        <p v-if="each.instead.length" class="small">
          Lead instead with{{ ' '
          }}<template v-for="(other, i) in each.instead" :key="other.phrase"
            ><template v-if="i">,{{ ' ' }}</template
            ><button
              class="plain link"
              :title="other.shared === null ? 'No page is kept to compare' : `${other.shared} of 20 results in common`"
              @click="tray.makeLead(other.phrase)"
            >
              {{ other.phrase }}</button
            >{{ ' '
            }}<span v-if="other.volume !== null" class="figure muted" title="Searches a month">{{
              inDigits(Math.round(other.volume))
            }}</span></template
          >
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  padding: 12px 0 4px;
  border-bottom: 1px solid var(--line);
}
ul {
  list-style: none;
  padding: 0;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.name {
  color: var(--ink);
}
.link {
  color: var(--teal);
}
</style>
