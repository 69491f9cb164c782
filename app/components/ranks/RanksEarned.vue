<script setup lang="ts">
import { mdiDownloadOutline, mdiFileUploadOutline, mdiPrinterOutline } from '@mdi/js'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { EARNED_KINDS, type EarnedKind } from '../../../core/formats/earnedColumns'
import { dayNamed } from '../../../core/ranks/standing'
import type { EarningPhrase } from '../../../core/ranks/earned'
import { listed } from '../../../core/text/inWords'
import { between, earnedCsv, KIND_NAMES, kindOfView, moneyAmount, reckoned } from '~/composables/earnedWords'
import { counted, dayOnly, inFull, rounded, UNKNOWN } from '~/composables/figures'
import { saveFile } from '~/composables/saveFile'
import { useEarnings } from '~/stores/earnings'
import { useRanks } from '~/stores/ranks'
import { useWorkspace } from '~/stores/workspace'

const DAY_NAMED = /^\d{4}-\d\d-\d\d$/u
/** So many videos are named in a line. */
const NAMED = 3

/** Which phrase brought how many clicks, calls, coupons or orders, and what is that worth? */
const earned = useEarnings()
const ranks = useRanks()
const workspace = useWorkspace()
const route = useRoute()
const address = useAddress()
const inAddress = (name: string) => (typeof route.query[name] === 'string' ? route.query[name] : '')
watch(
  () => ['came', 'from', 'to'].map(inAddress),
  ([came, from, to]) => {
    earned.kind = EARNED_KINDS.find(known => known === came) ?? null
    earned.from = DAY_NAMED.test(from!) ? from! : ''
    earned.to = DAY_NAMED.test(to!) ? to! : ''
  },
  { immediate: true },
)
onBeforeUnmount(earned.follow())
const DAYS_TURNED = 'The first day is after the last.'
const dayProblem = ref({ from: '', to: '' })
/** Days that are the wrong way round are not asked for. */
function setDay(end: 'from' | 'to', day: string) {
  const days = { from: earned.from || answer.value!.from!, to: earned.to || answer.value!.to! }
  days[end] = day || days[end]
  const turned = days.from > days.to
  dayProblem.value = { from: '', to: '' }
  if (turned) dayProblem.value[end] = DAYS_TURNED
  if (!turned) void address({ [end]: day || undefined }, true)
}
const withoutViews = computed(() => {
  const titles = answer.value?.withoutViews.map(titleOf) ?? []
  return listed(titles.length > NAMED ? [...titles.slice(0, NAMED), `${titles.length - NAMED} others`] : titles)
})
const importing = ref(false)
const answer = computed(() => earned.answer)
const kind = computed(() => answer.value?.kind ?? null)
const many = computed(() => (kind.value ? KIND_NAMES[kind.value].many : ''))
const each = computed(() => answer.value?.kinds.find(known => known.kind === kind.value)?.each ?? null)
const choices = computed(() =>
  (answer.value?.kinds ?? []).map(known => ({ value: known.kind, title: KIND_NAMES[known.kind].many })),
)
const titleOf = (id: string) => ranks.videos?.find(video => video.id === id)?.title ?? id
const worth = (count: number) => (each.value === null ? null : count * each.value)
const moneySaid = (amount: number | null) => (amount === null ? UNKNOWN : moneyAmount(amount, answer.value!.currency))
const named = ({ phrase }: EarningPhrase) => phrase ?? 'Views by no phrase that is watched'
const HEADERS = computed(
  () =>
    [
      { key: 'phrase', title: 'Phrase', minWidth: 170, value: named },
      { key: 'views', title: 'Views', align: 'end', width: 84, value: (row: EarningPhrase) => row.views },
      {
        key: 'count',
        title: many.value,
        align: 'end',
        width: 124,
        nowrap: true,
        value: (row: EarningPhrase) => row.count.value,
      },
      {
        key: 'rate',
        title: 'Usual of 1,000',
        align: 'end',
        width: 136,
        nowrap: true,
        value: (row: EarningPhrase) => row.rate.value,
      },
      { key: 'worth', title: 'Worth', align: 'end', width: 104, value: (row: EarningPhrase) => row.count.value },
    ] as const,
)
function save() {
  const { from, to } = answer.value!
  saveFile(`earned-${from}-${to}.csv`, earnedCsv(answer.value!, each.value), 'text/csv')
}
const print = () => {
  window.print()
}
</script>

<template>
  <ShellFailed v-if="earned.problem" :problem="earned.problem" @again="earned.load()" />
  <template v-else-if="!answer">
    <p class="small muted" role="status">Dividing what came among the phrases…</p>
    <v-skeleton-loader type="table-row@6" class="sheet" />
  </template>
  <template v-else>
    <form v-if="kind" class="asked" role="toolbar" aria-label="What is looked at" @submit.prevent>
      <v-select
        :model-value="kind"
        :items="choices"
        label="Kind"
        density="compact"
        variant="outlined"
        hide-details
        class="field"
        data-test="earned-kind"
        @update:model-value="(to: EarnedKind) => address({ came: to }, true)"
      />
      <v-text-field
        v-for="end in ['from', 'to'] as const"
        :key="end"
        :model-value="earned[end] || answer[end]"
        :label="end === 'from' ? 'From' : 'To'"
        type="date"
        density="compact"
        variant="outlined"
        hide-details="auto"
        class="field"
        :data-test="`earned-${end}`"
        :error-messages="dayProblem[end]"
        @change="setDay(end, ($event.target as HTMLInputElement).value)"
      />
      <v-spacer />
      <v-btn variant="outlined" :prepend-icon="mdiFileUploadOutline" data-test="earned-import" @click="importing = true"
        >Import</v-btn
      >
      <v-btn variant="outlined" :prepend-icon="mdiDownloadOutline" data-test="earned-save" @click="save">CSV</v-btn>
      <v-btn
        variant="outlined"
        :prepend-icon="mdiPrinterOutline"
        title="A report, without what can be pressed"
        @click="print"
        >Print</v-btn
      >
    </form>
    <p v-if="kind" class="said" data-test="earned-said">
      <strong>{{ counted(answer.told, KIND_NAMES[kind].one.toLowerCase()) }}</strong> from
      {{ dayOnly(dayNamed(answer.from!)) }} to {{ dayOnly(dayNamed(answer.to!)) }}, by {{ workspace.current?.name }}.
      <template v-if="answer.counted < answer.told"
        >{{ counted(answer.told - answer.counted, KIND_NAMES[kind].one.toLowerCase()) }} came on days whose views are
        not known, and are not divided.</template
      >
      <template v-if="answer.withoutViews.length"
        >The views of {{ withoutViews }} are not known: see them once under <em>Views</em>.</template
      >
    </p>
    <div class="over">
      <div v-if="!kind" class="sheet state" data-test="earned-empty">
        <h2>Nothing entered yet</h2>
        <p>
          Enter how many clicks, calls, coupons or orders your videos brought, by day: import the table of your shop, or
          type a line here. Fonetra divides them among the phrases that brought each video its views.
        </p>
        <div>
          <v-btn
            color="primary"
            :prepend-icon="mdiFileUploadOutline"
            data-test="earned-import"
            @click="importing = true"
            >Import a table</v-btn
          >
        </div>
      </div>
      <div v-else class="main">
        <ShellTable
          :headers="HEADERS"
          :items="answer.phrases"
          item-value="phrase"
          density="compact"
          fixed-header
          class="sheet table"
          tabindex="0"
          aria-label="What each phrase brought"
          data-test="earned"
        >
          <template #[`item.phrase`]="{ item }">
            <div class="phrase" data-test="earned-row">
              <NuxtLink
                v-if="item.phrase"
                class="link"
                :to="{ path: '/ranks', query: { video: item.videos[0], phrase: item.phrase } }"
                title="Its ranks"
                >{{ item.phrase }}</NuxtLink><span v-else>{{ named(item) }}</span>
              <span v-if="item.phrase" class="small muted" :title="item.videos.map(titleOf).join('\n')"
                >{{ kindOfView(item) }} · {{ counted(item.videos.length, 'video') }}</span
              >
            </div>
          </template>
          <template #[`item.views`]="{ item }"
            ><span class="figure" :title="`About ${inFull(item.views)}: searches × the share that looks at its rank`">{{
              rounded(Math.round(item.views))
            }}</span></template
          >
          <template #[`item.count`]="{ item }"
            ><span class="figure" :title="`${inFull(item.count.value)}; 95 times in 100 ${between(item.count)}`"
              ><b>{{ reckoned(item.count.value) }}</b> <span class="small muted">{{ between(item.count) }}</span></span
            ></template
          >
          <template #[`item.rate`]="{ item }"
            ><span
              class="figure"
              :title="`Usual over all videos; one video can differ. 95 times in 100 ${between(item.rate, 1000)}`"
              >{{ reckoned(item.rate.value * 1000) }}
              <span class="small muted">{{ between(item.rate, 1000) }}</span></span
            ></template
          >
          <template #[`item.worth`]="{ item }"
            ><span
              class="figure"
              :title="
                each === null
                  ? 'What one is worth is not known: set it beside'
                  : `${inFull(item.count.value)} × ${moneySaid(each)}`
              "
              >{{ moneySaid(worth(item.count.value)) }}</span
            ></template
          >
        </ShellTable>
        <p class="small muted">
          A video is not asked which viewer ordered. What it brought is divided by how many views each phrase brought it
          and by what views of that intent and place bring over all videos; few views are drawn towards the usual. On
          days without a line it counts as having brought nothing.
        </p>
      </div>
      <RanksEarnedSide class="side" :title-of="titleOf" />
    </div>
  </template>
  <RanksEarnedImport v-model="importing" @imported="earned.load()" />
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.field {
  flex: 0 1 160px;
}
.over {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  overflow: auto;
}
.main {
  flex: 3 1 480px;
  min-width: 0;
  min-height: 260px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.table {
  flex: 1;
  min-height: 180px;
}
.side {
  flex: 1 1 260px;
}
.phrase {
  display: grid;
  padding: 3px 0;
}
.state {
  flex: 3 1 480px;
}
</style>
