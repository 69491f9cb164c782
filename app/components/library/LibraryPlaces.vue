<script setup lang="ts">
import type { PlacesImported } from '../../../shared/imports'
import { mdiFileUploadOutline } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Place } from '../../../shared/lists'
import { api, messageOf } from '~/composables/api'
import { counted, inFull } from '~/composables/figures'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const workspace = useWorkspace()
const notices = useNotices()
const region = ref<string | null>(null)
const contains = ref('')
const places = shallowRef<Place[] | null>(null)
const regions = ref<{ region: string; n: number }[]>([])
const problem = ref('')
const rejected = ref<PlacesImported['rejected']>([])
const rejectedMore = ref(0)
const file = ref<HTMLInputElement | null>(null)
const { progress, left, busy, send: sendFile, stop } = useImporting()
const HEADERS = [
  { key: 'name', title: 'Place' },
  { key: 'region', title: 'Region', width: 120 },
  { key: 'population', title: 'Population', align: 'end', width: 160 },
  { key: 'source', title: 'Source', width: 220 },
] as const

async function refresh() {
  problem.value = ''
  try {
    const got = await api('GET /api/places', {
      query: { region: region.value, contains: contains.value },
    })
    places.value = got.places
    regions.value = got.regions
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch([region, contains], () => void refresh(), { immediate: true })
const total = computed(() => regions.value.reduce((sum, each) => sum + each.n, 0))

async function send(event: Event) {
  const given = (event.target as HTMLInputElement).files?.[0]
  if (!given) return
  try {
    const answer = await sendFile('POST /api/import/places', given, {
      region: region.value ?? workspace.current?.region,
      name: given.name.slice(0, 120),
    })
    rejected.value = answer?.rejected ?? []
    rejectedMore.value = answer?.rejectedMore ?? 0
    if (!answer) notices.show('Stopped. The rows read so far are saved. Import the file again to add the rest.')
    else
      notices.show(
        `${counted(answer.accepted, 'place')} read, ${counted(answer.rejected.length + answer.rejectedMore, 'line')} skipped.`,
      )
    await refresh()
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
  file.value!.value = ''
}
</script>

<template>
  <div class="places">
    <div class="head">
      <v-text-field
        v-model="contains"
        label="Find a place"
        maxlength="100"
        class="find"
        data-first-field
        clearable
        @update:model-value="contains = $event ?? ''"
      /><ShellRegion v-model="region" class="region" /><span class="small muted"
        >{{ counted(total, 'place') }} in {{ counted(regions.length, 'region') }}</span
      ><v-spacer /><v-btn
        :prepend-icon="mdiFileUploadOutline"
        title="CSV with name, population and region"
        data-test="places-import"
        :disabled="busy"
        @click="file?.click()"
        >Import places</v-btn
      ><input
        ref="file"
        type="file"
        accept=".csv,.tsv,.txt"
        class="unseen"
        tabindex="-1"
        aria-label="List of places"
        data-test="places-file"
        @change="send"
      />
    </div>
    <ShellImporting :progress="progress" :left="left"
      ><v-btn size="small" variant="tonal" @click="stop">Stop</v-btn></ShellImporting
    >
    <ShellRefused :rejected="rejected" :more="rejectedMore" />
    <ShellFailed v-if="problem" :problem="problem" @again="refresh" />
    <v-skeleton-loader v-else-if="!places" type="table-row@5" class="sheet" />
    <ShellTable
      v-else
      :headers="HEADERS"
      :items="places"
      item-value="id"
      density="compact"
      fixed-header
      class="sheet table"
      tabindex="0"
      no-data-text="No places yet. Import a CSV with name, population and region."
      aria-label="Places"
      data-test="place-list"
    >
      <template #[`item.population`]="{ item }"
        ><span class="figure">{{ inFull(item.population).replace('unknown', '–') }}</span></template
      >
    </ShellTable>
  </div>
</template>

<style scoped>
.places {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
}
.find {
  flex: 0 0 220px;
}
.region {
  flex: 0 0 200px;
}
.table {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
</style>
