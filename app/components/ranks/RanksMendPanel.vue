<script setup lang="ts">
import { ref } from 'vue'
import { isFresh, rankDay } from '../../../core/ranks/standing'
import type { AuditRow } from '../../../shared/audit'
import { goTo } from '~/composables/address'
import { messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { dateOnly, dayOnly, inFull } from '~/composables/figures'
import { pointsText } from '~/composables/points'
import { fewViews } from '~/composables/rankCells'
import { useAudit } from '~/stores/audit'
import { useNotices } from '~/stores/notices'

/** One video of the queue: where it stands, and the one edit that brings most. */
const props = defineProps<{ row: AuditRow; lacks: string; leadFrom: string }>()
const emit = defineEmits<{ off: []; step: [by: number] }>()
const audit = useAudit()
const notices = useNotices()
const opening = ref(false)
const shown = (value: string | string[] | null) => (Array.isArray(value) ? value.join('\n') : (value ?? ''))

/** To the Desk, with its texts in a brief. */
async function open() {
  if (opening.value) return
  opening.value = true
  try {
    const id = await audit.toBrief(props.row, props.row.edit)
    await goTo({ path: '/desk', query: { brief: id } })
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    opening.value = false
  }
}
defineExpose({ open })
</script>

<template>
  <section class="mend" :aria-label="row.title" data-test="mend-panel">
    <h2>{{ row.title }}</h2>
    <p class="small muted">
      <template v-if="row.publishedAt">{{ dateOnly(row.publishedAt) }}</template><template v-if="row.views !== null"
        >, {{ inFull(row.views, 'views') }}</template
      >
    </p>
    <dl>
      <dt>Lead phrase</dt>
      <dd>
        <template v-if="row.lead"
          >{{ row.lead }}{{ ' ' }}<span class="small muted">{{ leadFrom }}.</span></template
        ><template v-else>Nothing tells what it is meant for.</template>
      </dd>
      <dt>Rank</dt>
      <dd>
        <template v-if="!row.rank">Not looked up yet.</template
        ><template v-else
          >{{ row.rank.rank === null ? `Beyond ${row.rank.depth}` : row.rank.rank
          }}<span class="small muted">, {{ dayOnly(row.rank.day) }}</span></template
        >
      </dd>
      <template v-if="lacks"
        ><dt>Lacks most</dt>
        <dd>
          {{ lacks }}<span class="small muted">, {{ pointsText(row.lacks!.points) }} points</span>
        </dd></template
      >
      <dt>Better words</dt>
      <dd v-if="row.words" data-test="mend-words">
        <b class="figure">{{ fewViews(Math.max(0, row.words.expected)) }}</b> views a month more<span
          class="small muted"
          >; nine times in ten {{ fewViews(Math.max(0, row.words.low)) }} to
          {{ fewViews(Math.max(0, row.words.high)) }}</span
        >
      </dd>
      <dd v-else class="small muted">
        Not known: it takes the searches of its lead, its result page, and your channel.
      </dd>
    </dl>
    <details v-if="row.words" class="small" data-test="mend-working">
      <summary>How it is worked out</summary>
      <p>
        Searches a month ({{ inFull(row.searches) }}) × (share that looks at its rank with better words − share that
        looks at its rank now), the shares as in the Library. Better words: the lead word for word in title, first line
        and a tag, or the edit below where that brings more. The ranks are those of the result page of
        {{ dateOnly(row.pageAt!) }} without this video.
        <template v-if="row.rank && isFresh(row.rank, rankDay(now()))"
          >What it does better or worse than its words let expect is taken from its rank on
          {{ dayOnly(row.rank.day) }}.</template
        ><template v-else>Its rank was not looked up in the last 28 days: all that it may be is counted.</template>
      </p>
    </details>
    <div v-if="row.edit" class="edit">
      <h3>
        {{ row.edit.label
        }}<span class="small muted"
          >, +{{ pointsText(row.edit.points) }} points<template v-if="row.edit.views && row.edit.views.expected > 0"
            >, {{ fewViews(row.edit.views.expected) }} views a month</template
          ></span
        >
      </h3>
      <DeskDifference
        class="small difference"
        :before="shown(row.edit.before)"
        :after="shown(row.edit.value)"
        data-test="mend-difference"
      />
    </div>
    <p v-else class="small muted">No ready-made edit helps here. It takes a person.</p>
    <div class="acts">
      <v-btn
        variant="flat"
        color="primary"
        size="small"
        :loading="opening"
        title="Key e"
        data-test="mend-open"
        @click="open"
        >{{ row.brief ? 'Open its brief' : row.edit ? 'Mend on the Desk' : 'Open on the Desk' }}</v-btn
      >
      <v-btn v-if="row.off" size="small" variant="outlined" data-test="mend-take-up" @click="audit.takeUp(row)"
        >Put back</v-btn
      >
      <v-btn v-else size="small" variant="outlined" title="Key x" data-test="mend-off" @click="emit('off')"
        >Put off</v-btn
      >
      <NuxtLink
        class="small link"
        :to="{ path: '/ranks', query: { video: row.videoId, phrase: row.lead || undefined } }"
        >Its ranks</NuxtLink
      >
    </div>
    <p class="small muted keys">
      <button class="plain link" @click="emit('step', 1)">Next</button> <kbd>j</kbd>,
      <button class="plain link" @click="emit('step', -1)">before</button> <kbd>k</kbd>
    </p>
  </section>
</template>

<style scoped>
.mend {
  padding: 12px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
}
h2 {
  font-size: 16px;
  line-height: 1.3;
}
h3 {
  font-size: 14px;
}
dl {
  margin: 0;
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 5px 8px;
  font-size: 14px;
}
dt {
  color: var(--muted);
  font-size: 13px;
}
dd {
  margin: 0;
}
.edit {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.difference {
  max-height: 240px;
  overflow: auto;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.link {
  color: var(--teal);
}
</style>
