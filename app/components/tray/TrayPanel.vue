<script setup lang="ts">
import { mdiClose, mdiContentCopy, mdiDrag, mdiStarOutline } from '@mdi/js'
import { computed, ref, shallowRef, type Component } from 'vue'
import { afterFirstScreen } from '~/composables/afterFirstScreen'
import { copyText } from '~/composables/copyText'
import { inFull, rounded, trayMark } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'

const brief = useBrief()
const tray = useTray()
const notices = useNotices()
const asideOpen = ref(false)
const support = computed(() => tray.tray.support)
/** Dragging comes after the first screen: until then the list stands in its order. */
const draggable = shallowRef<Component | null>(null)
afterFirstScreen(() =>
  import('vue-draggable-plus').then(
    ({ VueDraggable }) => (draggable.value = VueDraggable),
    // Without it phrases are moved by their keys and menu.
    () => undefined,
  ),
)
const asList = computed(() =>
  draggable.value
    ? {
        ...{ tag: 'ol', handle: '.handle', animation: 120, modelValue: support.value },
        'onUpdate:modelValue': (list: string[]) => tray.reorder(list),
      }
    : {},
)

function volumeOf(phrase: string) {
  return tray.figures.get(phrase)?.volume
}

async function copyAll() {
  await copyText(tray.phrases.map(each => each.phrase).join('\n'))
  notices.show('Phrases copied, one per line.')
}
</script>

<template>
  <div class="panel" data-test="tray">
    <header>
      <h2>Tray</h2>
      <v-btn
        v-if="tray.phrases.length"
        size="small"
        :icon="mdiContentCopy"
        aria-label="Copy the phrases"
        @click="copyAll"
      />
    </header>
    <template v-if="brief.fields">
      <section aria-label="Lead">
        <p class="muted small">Lead</p>
        <div v-if="tray.tray.lead" class="row lead" data-test="lead">
          <span class="mark figure">A</span><span class="phrase">{{ tray.tray.lead }}</span>
          <span class="figure small volume" :title="`${inFull(volumeOf(tray.tray.lead), 'searches a month')}`">{{
            rounded(volumeOf(tray.tray.lead))
          }}</span>
          <v-btn
            size="x-small"
            :icon="mdiClose"
            :aria-label="`Remove ${tray.tray.lead}`"
            @click="tray.remove(tray.tray.lead)"
          />
        </div>
        <p v-else class="empty">None yet. Choose the main phrase people should find this video by.</p>
      </section>
      <section aria-label="Support" class="grow">
        <p class="muted small">Support, in order</p>
        <component :is="draggable ?? 'ol'" v-bind="asList">
          <li
            v-for="(phrase, i) in support"
            :key="phrase"
            class="row"
            data-test="support"
            tabindex="0"
            @keydown.alt.up.prevent="tray.move(phrase, -1)"
            @keydown.alt.down.prevent="tray.move(phrase, 1)"
          >
            <v-icon class="handle" :icon="mdiDrag" size="16" aria-hidden="true" />
            <span class="mark figure">{{ trayMark(i + 1) }}</span><span class="phrase">{{ phrase }}</span>
            <span class="figure small volume" :title="`${inFull(volumeOf(phrase), 'searches a month')}`">{{
              rounded(volumeOf(phrase))
            }}</span>
            <v-btn
              v-if="!tray.tray.lead"
              size="x-small"
              :icon="mdiStarOutline"
              :aria-label="`Make ${phrase} the lead`"
              title="Make it the lead"
              data-test="tray-lead"
              @click="tray.makeLead(phrase)"
            />
            <TrayPhraseMenu :phrase="phrase" />
          </li>
        </component>
        <p v-if="!support.length" class="empty">Add a few related phrases. About ten is plenty.</p>
        <TrayAdd class="mt-2" data-test="tray-add" />
      </section>
      <p v-if="tray.problem" class="small muted" role="status">
        Could not load searches: {{ tray.problem }}
        <button class="plain again" @click="tray.refreshFigures()">Try again</button>
      </p>
      <section v-if="tray.tray.setAside.length" aria-label="Set aside">
        <button class="plain muted small" :aria-expanded="asideOpen" @click="asideOpen = !asideOpen">
          {{ asideOpen ? '▾' : '▸' }} Set aside ({{ tray.tray.setAside.length }})
        </button>
        <ul v-if="asideOpen">
          <li v-for="phrase in tray.tray.setAside" :key="phrase" class="row">
            <span class="phrase muted">{{ phrase }}</span><v-btn
              size="x-small"
              variant="outlined"
              :aria-label="`Restore ${phrase}`"
              @click="tray.restore(phrase)"
              >Restore</v-btn
            >
          </li>
        </ul>
      </section>
    </template>
    <p v-else class="empty">Open or create a brief to see its phrases here on every screen.</p>
  </div>
</template>

<style scoped>
.again {
  color: var(--teal);
  text-decoration: underline;
}
.panel {
  padding: 12px 12px 16px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  min-height: 100%;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  height: 28px;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.row {
  display: flex;
  align-items: center;
  gap: 5px;
  min-height: 32px;
  border-bottom: 1px solid var(--line);
}
.lead {
  background: var(--surface);
  border: 1px solid var(--teal);
  border-radius: 4px;
  padding: 4px 2px 4px 8px;
}
.lead .phrase {
  font-weight: 600;
}
.mark {
  font-weight: 600;
  color: var(--teal);
  width: 14px;
  flex: none;
  text-align: center;
}
.phrase {
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
  line-height: 1.25;
  padding: 4px 0;
}
.volume {
  color: var(--muted);
  flex: none;
}
.handle {
  cursor: grab;
  color: var(--muted);
  flex: none;
}
.empty {
  color: var(--muted);
  font-size: 13px;
  padding: 6px 0;
}
</style>
