<script setup lang="ts">
import { ref, watch } from 'vue'
import { fieldOf } from '../../../../core/brief/brief'
import { briefIdOf } from '../../../../shared/audit'
import type { Applied } from '../../../../shared/publish'
import { dateTime } from '~/composables/figures'
import { useLeadTargets, type LeadTarget } from '~/composables/leadTargets'
import { useBrief } from '~/stores/brief'
import { usePublish } from '~/stores/publish'

/** The brief's text beside that of a video that is out: what changes there is chosen part by part. */
const publish = usePublish()
const brief = useBrief()
const { videos } = useLeadTargets()
const video = ref(publish.beside?.videoId ?? publish.answer?.publication?.video ?? '')
/** One of the list, or an id that was typed. */
const take = (given: string | LeadTarget | null) => {
  video.value = given === null ? '' : typeof given === 'string' ? given : given.id
}
/** A brief that was made of a video to mend it is meant for that one. */
watch(
  videos,
  list => {
    const { brief: open } = brief
    if (!video.value && open) video.value = list.find(({ id }) => briefIdOf(open.workspaceId, id) === open.id)?.id ?? ''
  },
  { immediate: true },
)
const chosen = ref<Applied[]>([])
watch(
  () => publish.beside,
  now => {
    // What is empty in the brief would empty it there: that is left to the person.
    chosen.value = (now?.rows ?? []).filter(row => row.differs && row.there !== null && row.draft).map(row => row.field)
  },
  { immediate: true },
)
const LONG = 600
const short = (text: string) => (text.length > LONG ? `${text.slice(0, LONG)}…` : text || '(empty)')
const look = () => video.value.trim() && publish.compare(video.value.trim())
</script>

<template>
  <div class="apply sheet" tabindex="0" role="region" aria-label="A video that is there">
    <div class="ask">
      <v-combobox
        :model-value="videos.find(({ id }) => id === video) ?? video"
        :items="videos"
        item-title="title"
        item-value="id"
        :return-object="false"
        label="Video, by its title or id"
        density="compact"
        hide-details
        data-test="apply-video"
        @update:model-value="take"
      />
      <v-btn variant="tonal" :loading="publish.looking" :disabled="!video.trim()" data-test="apply-look" @click="look"
        >Compare</v-btn
      >
    </div>
    <p v-if="!publish.beside" class="muted">
      The text of this brief is put beside that of the video, and takes its place where you say so.
    </p>
    <template v-else>
      <p class="small muted">
        “{{ publish.beside.title }}” as {{ publish.beside.source }} had it on {{ dateTime(publish.beside.at) }}
      </p>
      <table aria-label="Parts">
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col">On the site</th>
            <th scope="col">In this brief</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in publish.beside.rows"
            :key="row.field"
            :class="{ same: !row.differs }"
            :data-test="`apply-${row.field}`"
          >
            <th scope="row">
              <label
                ><input v-model="chosen" type="checkbox" :value="row.field" :disabled="!row.differs" />
                {{ fieldOf(row.field).label }}</label
              >
            </th>
            <td dir="auto">{{ row.there === null ? 'not known' : short(row.there) }}</td>
            <td dir="auto">{{ row.differs ? short(row.draft) : 'the same' }}</td>
          </tr>
        </tbody>
      </table>
      <v-btn
        variant="flat"
        color="primary"
        :loading="publish.looking"
        :disabled="!chosen.length"
        data-test="apply"
        @click="publish.compare(publish.beside!.videoId, chosen)"
        >Change {{ chosen.length === 1 ? 'one part' : `${chosen.length} parts` }} on the site</v-btn
      >
    </template>
  </div>
</template>

<style scoped>
.apply {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 14px;
  display: grid;
  gap: 12px;
  align-content: start;
  justify-items: start;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: center;
  width: min(640px, 100%);
}
.ask > :first-child {
  flex: 1;
}
table {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
th:first-child {
  width: 160px;
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
thead th {
  font-size: 12px;
  color: var(--muted);
}
.same {
  color: var(--muted);
}
label {
  display: flex;
  gap: 6px;
}
input {
  accent-color: var(--teal);
  flex: none;
}
</style>
