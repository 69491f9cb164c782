<script setup lang="ts">
import { mdiDeleteOutline, mdiMonitorDashboard } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { clock, secondsOf } from '../../../../core/captions/cue'
import { KIND_NAMES } from '../../../../core/release/cards'
import {
  ELEMENT_KINDS,
  leadsTo,
  PICK_NAMES,
  PICKS,
  type Covered,
  type ElementKind,
  type EndElement,
} from '../../../../core/release/endScreen'
import { messageOf } from '~/composables/api'
import { useVideoLeads } from '~/composables/videoLeads'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { useSpoken } from '~/stores/spoken'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The end screen: when it begins, what it shows, and what is still said under it. */
const chosen = defineModel<string | null>('chosen', { required: true })
const brief = useBrief()
const film = useFilm()
const spoken = useSpoken()
const items = useWorkspaceItems()
const leads = useVideoLeads()
const end = leads.end
const PICK_ITEMS = PICKS.map(value => ({ value, title: PICK_NAMES[value] }))
function setFrom(text: string) {
  const at = secondsOf(text)
  if (at !== null) leads.moveEnd(at)
}
function add(kind: ElementKind) {
  film.seek(Math.max(film.at, end.value!.from))
  chosen.value = leads.addElement(kind)
}
const show = (element: EndElement) => {
  chosen.value = chosen.value === element.id ? null : element.id
  film.seek(Math.max(film.at, end.value!.from))
}

/** What viewers came for and is still said there. */
const covered = shallowRef<Covered[]>([])
const problem = ref('')
const phrases = computed(() => {
  const { lead, support } = brief.fields!.tray
  return lead ? [lead, ...support] : support
})
let asked = 0
watch(
  [() => end.value?.from, () => spoken.captions, phrases],
  async ([from]) => {
    const mine = ++asked
    covered.value = []
    if (from === undefined || !spoken.captions.cues.length) return
    try {
      // Only what is said then goes to the thread.
      const last = spoken.captions.cues.filter(cue => cue.end > from)
      const found = await spoken.remote().under(from, last, [...phrases.value], brief.fields!.language)
      if (mine === asked) covered.value = found
      problem.value = ''
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  },
  { immediate: true },
)

const name = ref('')
const naming = ref(false)
async function saveLayout() {
  if (!name.value.trim()) return
  if (await items.addEndLayout(name.value, [...end.value!.elements])) {
    naming.value = false
    name.value = ''
  }
}
</script>

<template>
  <section aria-label="End screen" data-test="end-screen">
    <h2>
      End screen
      <span v-if="end" class="small muted">{{ end.elements.length }} of {{ leads.limits.value.endScreen.most }}</span>
      <v-spacer />
      <v-menu v-if="items.endLayouts.length">
        <template #activator="{ props: menu }"
          ><v-btn v-bind="menu" size="small" variant="text" data-test="layouts">Layouts</v-btn></template
        >
        <v-list role="menu" density="compact">
          <v-list-item
            v-for="layout in items.endLayouts"
            :key="layout.id"
            role="menuitem"
            :title="layout.name"
            @click="leads.takeLayout(layout.name, layout.elements)"
          >
            <template #append
              ><v-btn
                size="x-small"
                variant="text"
                :icon="mdiDeleteOutline"
                :aria-label="`Delete the layout ${layout.name}`"
                @click.stop="items.removeEndLayout(layout)"
            /></template>
          </v-list-item>
        </v-list>
      </v-menu>
      <v-btn
        v-if="!end"
        size="small"
        variant="tonal"
        color="primary"
        :prepend-icon="mdiMonitorDashboard"
        data-test="end-add"
        @click="leads.addEnd()"
        >Add</v-btn
      >
      <v-btn v-else size="small" variant="text" data-test="end-remove" @click="leads.removeEnd()">Remove</v-btn>
    </h2>
    <p v-if="!end" class="small muted">
      It covers the last seconds and leads on: to a video, a playlist, your channel.
    </p>
    <template v-else>
      <p class="from">
        <label
          >From
          <ShellTyped
            class="figure typed"
            :value="clock(end.from)"
            size="7"
            aria-label="The end screen begins at"
            data-test="end-from"
            @typed="setFrom"
        /></label>
        to the end
      </p>
      <p v-for="fault in leads.faultsOfEnd.value" :key="fault" class="small fault" data-test="end-fault">{{ fault }}</p>
      <p v-if="problem" role="alert" class="small">{{ problem }}</p>
      <p v-for="each in covered.slice(0, 3)" :key="each.at" class="small fault" data-test="end-covered">
        At {{ clock(each.at) }} “{{ each.phrase }}” is still spoken under it: “{{ each.text }}”
      </p>
      <ul>
        <ReleaseVideoLine
          v-for="element in end.elements"
          :key="element.id"
          :open="chosen === element.id"
          :faults="leads.faultsOfElements.value.get(element.id) ?? []"
          :removes="`Remove ${KIND_NAMES[element.kind]}`"
          data-test="end-line"
          @open="show(element)"
          @remove="leads.removeElement(element.id)"
        >
          <template #sum>{{ leadsTo(element) }}</template>
          <div v-if="element.kind !== 'subscribe'" class="edit">
            <v-select
              v-if="element.kind === 'video'"
              :model-value="element.pick"
              :items="PICK_ITEMS"
              label="Which video"
              density="compact"
              variant="underlined"
              hide-details
              data-test="end-pick"
              @update:model-value="leads.setElement(element.id, { pick: $event, target: '', title: '' })"
            />
            <ReleaseVideoTarget
              v-if="element.kind !== 'video' || element.pick === 'chosen'"
              :kind="element.kind"
              :target="element.target"
              :title="element.title"
              :label="KIND_NAMES[element.kind]"
              @choose="(target, title) => leads.setElement(element.id, { target, title })"
            />
          </div>
        </ReleaseVideoLine>
      </ul>
      <div class="adding">
        <v-btn
          v-for="kind in ELEMENT_KINDS"
          :key="kind"
          size="small"
          variant="outlined"
          :disabled="end.elements.length >= leads.limits.value.endScreen.most"
          :data-test="`end-add-${kind}`"
          @click="add(kind)"
          >{{ KIND_NAMES[kind] }}</v-btn
        >
      </div>
      <p v-if="end.elements.length" class="keep small">
        <template v-if="naming"
          ><input
            v-model="name"
            class="name"
            placeholder="Name of the layout"
            aria-label="Name of the layout"
            maxlength="100"
            data-test="layout-name"
            @keydown.enter="saveLayout"
          /><button class="plain link" data-test="layout-save" @click="saveLayout">Save</button>
          <button class="plain link" @click="naming = false">Cancel</button></template
        ><button v-else class="plain link" data-test="layout-keep" @click="naming = true">
          Keep this layout for the next video
        </button>
      </p>
    </template>
  </section>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: center;
  gap: 6px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
h2 .small {
  font-weight: 400;
}
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
.typed {
  width: 70px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: inherit;
}
.fault {
  color: var(--plum);
}
.edit {
  display: grid;
  gap: 6px;
  padding-bottom: 6px;
}
.adding {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  padding: 6px 0;
}
.keep {
  display: flex;
  gap: 10px;
}
.name {
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: inherit;
  font: inherit;
}
</style>
