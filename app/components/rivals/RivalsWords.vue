<script setup lang="ts">
import { mdiTagPlusOutline, mdiTrayPlus } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { WORD_PLACES, type WordPlace } from '../../../core/rivals/lift'
import type { PageWord, WordsAnswer } from '../../../shared/rivals'
import { api, EVERY_REGION, messageOf } from '~/composables/api'
import { counted, inFull, rounded } from '~/composables/figures'
import { useAccess } from '~/stores/access'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import type { RivalsQuestion } from '~/stores/rivals'
import { useTray } from '~/stores/tray'

const props = defineProps<{ question: RivalsQuestion }>()
const access = useAccess()
const brief = useBrief()
const tray = useTray()
const notices = useNotices()
const answer = shallowRef<WordsAnswer | null>(null)
const problem = ref('')
const picked = ref<string[]>([])
const NAMES: Record<WordPlace, string> = { tags: 'Tags', title: 'Title words', firstLine: 'First-line words' }

async function load() {
  problem.value = ''
  picked.value = []
  const asked = props.question
  const { region, ...rest } = asked
  try {
    const got = await api(`${access.askMethod} /api/results/words`, {
      query: { ...rest, region: region ?? EVERY_REGION },
    })
    if (asked === props.question) answer.value = got
  } catch (error) {
    if (asked === props.question) problem.value = messageOf(error)
  }
}
watch(
  () => props.question,
  () => void load(),
  { immediate: true },
)

type Order = 'lift' | 'users' | 'volume' | 'rank'
const order = ref<Order>('lift')
const ORDERS: { value: Order; title: string; of: (word: PageWord) => number }[] = [
  { value: 'lift', title: 'Lift × users', of: word => -Math.log(word.lift) * Math.sqrt(word.users) },
  { value: 'users', title: 'Users', of: word => -word.users },
  { value: 'volume', title: 'Searches', of: word => -(word.volume ?? -1) },
  { value: 'rank', title: 'Best rank', of: word => bestOf(word) },
]
const sorted = computed(() => {
  const { of } = ORDERS.find(each => each.value === order.value)!
  return [...(answer.value?.words ?? [])].sort((a, b) => of(a) - of(b))
})
const drawn = useDrawnInParts(
  () => sorted.value,
  () => props.question,
)
const lists = computed(() =>
  WORD_PLACES.map(place => ({ place, words: drawn.value.filter(word => word.place === place) })),
)
const pick = (term: string) => {
  picked.value = picked.value.includes(term) ? picked.value.filter(each => each !== term) : [...picked.value, term]
}
const bestOf = ({ ranks }: PageWord) => Math.min(...ranks)
/** As many digits as there is room for: 2.7, 29. */
const liftOf = ({ lift }: PageWord) => lift.toFixed(lift < 9.95 ? 1 : 0)

function toTags() {
  if (!brief.fields) return
  const { tags } = brief.fields
  const fresh = picked.value.filter(term => !tags.includes(term))
  if (fresh.length) brief.change(`${counted(fresh.length, 'tag')} added to the brief.`, 'tags', [...tags, ...fresh])
  else notices.show('All of them are already in its tags.')
  picked.value = []
}
function toTray() {
  tray.add(picked.value)
  picked.value = []
}
</script>

<template>
  <div class="words" data-test="words">
    <div class="head">
      <v-btn-toggle
        v-model="order"
        class="order"
        mandatory
        density="compact"
        variant="outlined"
        color="primary"
        divided
        aria-label="Order"
        ><v-btn
          v-for="each in ORDERS"
          :key="each.value"
          :value="each.value"
          :aria-pressed="order === each.value"
          size="small"
          >{{ each.title }}</v-btn
        ></v-btn-toggle
      >
      <span class="small muted lift" :title="answer?.neighbours.join(', ')"
        >Lift: against
        {{ answer ? counted(answer.neighbours.length, 'neighbouring page') : 'neighbouring pages' }}.</span
      >
      <v-spacer /><span v-if="picked.length" class="small">{{ picked.length }} picked</span>
      <v-btn
        size="small"
        variant="flat"
        color="primary"
        :prepend-icon="mdiTagPlusOutline"
        :disabled="!picked.length || !brief.fields"
        data-test="words-tags"
        @click="toTags"
        >Add to tags</v-btn
      >
      <v-btn
        size="small"
        :prepend-icon="mdiTrayPlus"
        :disabled="!picked.length || !brief.fields"
        data-test="words-tray"
        @click="toTray"
        >Add to tray</v-btn
      >
    </div>
    <div v-if="problem" class="sheet empty" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="load">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!answer" type="table-row@6" class="sheet" />
    <div v-else class="lists">
      <section v-for="list in lists" :key="list.place" class="sheet" :aria-label="NAMES[list.place]">
        <table>
          <caption class="unseen">
            {{
              NAMES[list.place]
            }}
          </caption>
          <thead>
            <tr>
              <th scope="col" class="word">{{ NAMES[list.place] }}</th>
              <th scope="col" title="Compared with similar phrases">Lift</th>
              <th scope="col" title="Results that use it">Used</th>
              <th v-if="list.place === 'tags'" scope="col" class="searches" title="Searches a month">Searches</th>
              <th scope="col" title="The best rank of a result that uses it">Best</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="word in list.words"
              :key="word.term"
              :class="{ picked: picked.includes(word.term) }"
              data-test="word"
            >
              <td class="word">
                <label
                  :title="word.volume === null ? word.term : `${word.term}: ${inFull(word.volume)} searches a month`"
                  ><input type="checkbox" :checked="picked.includes(word.term)" @change="pick(word.term)" />
                  {{ word.term }}</label
                >
              </td>
              <td class="figure" :title="`${word.lift.toFixed(2)} times as much`">
                <span
                  class="ramp"
                  :style="{ '--part': Math.min(1, Math.log2(Math.max(1, word.lift)) / 6) }"
                  aria-hidden="true"
                />{{ liftOf(word) }}
              </td>
              <td class="figure" :title="`${word.users} of ${answer.results}`">{{ word.users }}</td>
              <td v-if="list.place === 'tags'" class="figure" :title="inFull(word.volume)">
                {{ rounded(word.volume) }}
              </td>
              <td class="figure" :title="`Used at ${word.ranks.join(', ')}`">{{ bestOf(word) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="!list.words.length && drawn.length === sorted.length" class="muted small empty">
          No word is used by more than one result.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.words {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.head {
  display: flex;
  gap: 10px;
  align-items: center;
}
.lists {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 1.7fr 1fr 1fr;
  gap: 10px;
}
.lists > * {
  min-width: 0;
}
.order {
  flex: none;
}
.lift {
  flex: 1;
}
section {
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th,
td {
  padding: 3px 5px;
  text-align: end;
  border-bottom: 1px solid var(--line);
  font-size: 12.5px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
th {
  position: sticky;
  top: 0;
  background: var(--paper);
  color: var(--muted);
  font-size: 12px;
  z-index: 1;
  width: 40px;
}
th.searches {
  width: 66px;
}
th.word,
td.word {
  text-align: start;
  width: auto;
}
.picked {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
input {
  accent-color: var(--teal);
  vertical-align: middle;
}
td {
  position: relative;
}
.ramp {
  position: absolute;
  left: 2px;
  bottom: 2px;
  height: 3px;
  width: calc(var(--part) * (100% - 4px));
  background: color-mix(in srgb, var(--teal) calc(30% + var(--part) * 70%), var(--line));
}
.empty {
  padding: 16px;
}
</style>
