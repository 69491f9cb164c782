<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { ClustersAnswer, PhraseRow } from '../../../shared/phrases'
import { inDigits } from '../../../core/text/inWords'
import { api, messageOf } from '~/composables/api'
import { inFull, rounded, UNKNOWN } from '~/composables/figures'

const props = defineProps<{ rows: PhraseRow[]; region: string | null; language: string; open: string | null }>()
const selected = defineModel<string[]>('selected', { required: true })
const emit = defineEmits<{ open: [phrase: string] }>()
const answer = shallowRef<ClustersAnswer | null>(null)
const problem = ref('')
const assessed = computed(() => props.rows.filter(row => row.difficulty !== null).map(row => row.phrase))
const byPhrase = computed(() => new Map(props.rows.map(row => [row.phrase, row])))

/** Answers that come late are to a question nobody asks any more. */
let asked = 0
async function load() {
  problem.value = ''
  const mine = ++asked
  try {
    const got = await api('POST /api/phrases/clusters', {
      body: { phrases: assessed.value, region: props.region, language: props.language },
    })
    if (mine === asked) answer.value = got
  } catch (error) {
    if (mine === asked) problem.value = messageOf(error)
  }
}
// Groups are drawn anew for other phrases and when a fair number more was assessed, not with every row.
watch(
  () => [props.region, props.rows[0]?.phrase, Math.floor(assessed.value.length / 24)].join('\n'),
  () => void load(),
  { immediate: true },
)
/** So many of a group are shown until all are wanted. */
const SHOWN = 9
const whole = ref<string[]>([])
const shown = (cluster: ClustersAnswer['clusters'][number]) =>
  whole.value.includes(cluster.head) ? cluster.phrases.slice(1) : cluster.phrases.slice(1, SHOWN + 1)
const pickAll = (phrases: string[]) => {
  selected.value = phrases.every(phrase => selected.value.includes(phrase))
    ? selected.value.filter(each => !phrases.includes(each))
    : [...new Set([...selected.value, ...phrases])]
}
const pick = (phrase: string) => {
  selected.value = selected.value.includes(phrase)
    ? selected.value.filter(each => each !== phrase)
    : [...selected.value, phrase]
}
</script>

<template>
  <div class="sheet groups" data-test="groups">
    <p class="small muted head">
      Phrases whose first pages share three results in ten and more: one video can win them together. From
      {{ answer ? inDigits(answer.withPages) : '…' }} assessed phrases.
    </p>
    <div v-if="problem" class="empty" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="load">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!answer" type="paragraph@3" />
    <p v-else-if="!answer.clusters.length" class="empty muted">
      No two phrases share enough results. Assess more phrases, or use a broader seed.
    </p>
    <ul v-else>
      <li v-for="cluster in answer.clusters" :key="cluster.head" data-test="group">
        <div class="line">
          <input
            type="checkbox"
            :checked="cluster.phrases.every(phrase => selected.includes(phrase))"
            :aria-label="`Select the group of ${cluster.head}`"
            @change="pickAll(cluster.phrases)"
          /><button class="plain head-phrase" @click="emit('open', cluster.head)">{{ cluster.head }}</button
          ><span class="muted">and {{ cluster.phrases.length - 1 }} more</span
          ><strong class="figure" :title="`${inFull(cluster.volume)} searches a month together`">{{
            rounded(Math.round(cluster.volume))
          }}</strong>
        </div>
        <div class="members">
          <span
            v-for="phrase in shown(cluster)"
            :key="phrase"
            class="member"
            :class="{ picked: selected.includes(phrase), opened: open === phrase }"
            ><input
              type="checkbox"
              :checked="selected.includes(phrase)"
              :aria-label="`Select ${phrase}`"
              @change="pick(phrase)"
            /><button class="plain clip" :title="phrase" @click="emit('open', phrase)">{{ phrase }}</button>{{ ' ' }}
            <span class="figure small muted">{{
              byPhrase.get(phrase) ? rounded(byPhrase.get(phrase)!.volume) : UNKNOWN
            }}</span></span
          >
        </div>
        <button
          v-if="shown(cluster).length < cluster.phrases.length - 1"
          class="plain small link"
          data-test="group-whole"
          @click="whole = [...whole, cluster.head]"
        >
          show the other {{ cluster.phrases.length - 1 - SHOWN }}
        </button>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.groups {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.head {
  padding: 8px 12px;
}
.empty {
  padding: 24px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-top: 1px solid var(--line);
  padding: 8px 12px;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.line strong {
  margin-left: auto;
  font-size: 16px;
}
.head-phrase {
  font-weight: 600;
}
input {
  accent-color: var(--teal);
}
.members {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 0 18px;
  padding: 2px 0 0 22px;
}
.member {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 26px;
  padding-right: 4px;
  min-width: 0;
}
.member .clip {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.member input {
  flex: none;
}
.link {
  margin-left: 22px;
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.line {
  min-height: 28px;
}
.picked {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
.opened {
  outline: 1px solid var(--teal);
}
</style>
