<script setup lang="ts">
import { mdiKeyboardOutline, mdiMagnify, mdiTrayFull, mdiWeatherNight, mdiWhiteBalanceSunny } from '@mdi/js'
import { computed, ref, type Ref } from 'vue'
import { useDisplay, useTheme } from 'vuetify'
import { gapsOf } from '../../../core/descriptions/gaps'
import { goTo } from '~/composables/address'
import { dataProblem, keyNeeded } from '~/composables/api'
import { AREAS } from '~/composables/areas'
import { lastLook, NEXT } from '~/composables/lastPlace'
import { keptWalk } from '~/composables/keptWalk'
import { remember } from '~/composables/remember'
import { dropTyped, keepTyped } from '~/composables/typedAhead'
import { useAccess } from '~/stores/access'
import { useChanges } from '~/stores/changes'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const access = useAccess()
useChanges().listen()
const briefSettled = useOpenBrief()
const route = useRoute()
const brief = useBrief()
const workspace = useWorkspace()
/** Screens ask for a workspace and a brief: with both known from the start they ask once. */
const settled = computed(() => briefSettled.value && workspace.loaded && access.loaded)
/** The tray comes after the screen that was asked for. */
const screenDrawn = useDrawnAfter(() => settled.value)
const theme = useTheme()
const keysOpen = ref(false)
const newOpen = ref(false)
const findOpen = ref(false)
/** Below this width the tray lies over the screen while it is wanted, instead of beside it. */
const NARROW = 1240
const { width } = useDisplay()
const narrow = computed(() => width.value < NARROW)
/** Below this one the areas are shown by their signs alone. */
const PHONE = 700
const phone = computed(() => width.value < PHONE)
const trayOver = ref(false)
/** On the Desk the phrases stand in its grid: the panel is there only when it was opened there. */
const trayKey = computed(() => (route.path === '/desk' ? 'fonetra.tray.desk' : 'fonetra.tray'))
const trays = ref<Record<string, boolean>>({
  'fonetra.tray': localStorage.getItem('fonetra.tray') !== 'closed',
  'fonetra.tray.desk': localStorage.getItem('fonetra.tray.desk') === 'open',
})
const trayOpen = computed(() => trays.value[trayKey.value]!)
/** Its drawer is loaded when it is first wanted, and kept for its way out. */
const trayOverSeen = ref(false)
const dark = computed(() => theme.global.name.value === 'dark')

/** An area as the brief was last looked at there. */
const linkTo = (path: string, id = brief.brief?.id) => ({
  path,
  query: { ...(id ? { ...lastLook(id, path), brief: id } : {}), ...(route.query.for ? { for: route.query.for } : {}) },
})

function switchTheme() {
  theme.change(dark.value ? 'light' : 'dark')
  remember('fonetra.theme', theme.global.name.value)
}

async function switchTray() {
  if (narrow.value) {
    try {
      await import('./ShellTrayOver.vue')
      trayOverSeen.value = true
      trayOver.value = !trayOver.value
    } catch {
      useNotices().show('Could not load the tray. Try again.', { serious: true })
    }
    return
  }
  trays.value[trayKey.value] = !trayOpen.value
  remember(trayKey.value, trayOpen.value ? 'open' : 'closed')
}

/** Opens a box whose field takes what is typed on at once, also while its code is on its way. */
async function openBox(box: Ref<boolean>, name: string, code: () => Promise<unknown>) {
  // Its field is there and would not ask for what was typed.
  if (box.value) return
  let wanted = true
  keepTyped(() => {
    wanted = false
    box.value = false
  })
  try {
    await code()
    if (wanted) box.value = true
  } catch {
    dropTyped()
    useNotices().show(`Could not load ${name}. Try again.`, { serious: true })
  }
}
const openFind = () => openBox(findOpen, 'Find', () => import('./ShellFind.vue'))
const openNew = () => openBox(newOpen, 'the form', () => import('../library/LibraryNewBrief.vue'))
// What cannot be fetched now is fetched when it opens.
afterFirstScreen(() => void import('./ShellFind.vue').catch(() => undefined))
useShellKeys({
  areas: [NEXT, ...AREAS.map(({ path }) => path)].map(path => () => goTo(linkTo(path))),
  keys: () => {
    keysOpen.value = true
  },
  tray: switchTray,
  create: openNew,
  find: openFind,
})
const ACTS = [
  { text: 'New brief', act: openNew },
  { text: 'Keys', act: () => (keysOpen.value = true) },
  { text: 'Show or hide the tray', act: switchTray },
  { text: 'Dark or light theme', act: switchTheme },
]
</script>

<template>
  <v-app>
    <a class="unseen" href="#main">Skip to the content</a>
    <div class="shell">
      <ShellRail :phone :link-to="linkTo" />
      <header class="bar">
        <ShellBriefs v-if="!keyNeeded" @create="openNew" />
        <ShellWorkspace />
        <ShellSaveState />
        <LibraryExport
          v-if="brief.brief && brief.fields && !phone"
          :id="brief.brief.id"
          :topic="brief.fields.topic"
          :gaps="gapsOf(brief.fields.description).length"
        />
        <v-spacer />
        <ShellJobs />
        <ShellPerspective v-if="!keyNeeded && !phone" />
        <ShellWho />
        <v-btn
          v-if="!keyNeeded"
          :prepend-icon="phone ? undefined : mdiTrayFull"
          :icon="phone ? mdiTrayFull : undefined"
          :text="phone ? undefined : 'Tray'"
          :aria-label="phone ? 'Tray' : undefined"
          :aria-pressed="narrow ? trayOver : trayOpen"
          @click="switchTray"
        />
        <v-btn
          v-if="!keyNeeded"
          :icon="mdiMagnify"
          aria-label="Find anything"
          title="Find anything (Ctrl + K)"
          data-test="find-open"
          @click="openFind"
        />
        <v-btn v-if="!phone" :icon="mdiKeyboardOutline" aria-label="Keys" @click="keysOpen = true" />
        <v-btn
          :icon="dark ? mdiWhiteBalanceSunny : mdiWeatherNight"
          :aria-label="dark ? 'Light theme' : 'Dark theme'"
          @click="switchTheme"
        />
        <!-- On a phone it stands behind what is used more. -->
        <ShellPerspective v-if="!keyNeeded && phone" />
      </header>
      <template v-if="dataProblem === null && !keyNeeded">
        <LazyShellTrayOver v-if="narrow && trayOverSeen" v-model="trayOver" />
        <aside v-else-if="!narrow && trayOpen" class="tray" aria-label="Tray"><TrayPanel v-if="screenDrawn" /></aside>
      </template>
      <ShellNotLoaded v-if="dataProblem === null && !keyNeeded" />
      <main id="main" class="main">
        <LazyShellClosed v-if="dataProblem !== null" /><LazyShellSignIn v-else-if="keyNeeded" /><template
          v-else-if="settled"
          ><ShellPrintHead :key="route.path" /><slot
        /></template>
      </main>
      <LazyShellWalk v-if="keptWalk && settled && dataProblem === null && !keyNeeded" />
    </div>
    <ShellNotice />
    <LazyShellConflict v-if="brief.conflicts !== null" />
    <LazyShellFind v-if="findOpen" v-model="findOpen" :acts="ACTS" />
    <LazyShellKeys v-if="keysOpen" v-model="keysOpen" />
    <LazyLibraryNewBrief v-if="newOpen" v-model="newOpen" />
  </v-app>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template: 52px auto minmax(0, 1fr) auto / auto minmax(0, 1fr) auto;
  grid-template-areas: 'rail bar bar' 'rail missing missing' 'rail main tray' 'rail walk tray';
  height: 100dvh;
}
.main {
  grid-area: main;
}
.bar,
.tray {
  background: var(--paper);
  border: 0 solid var(--line);
}
.bar {
  grid-area: bar;
  /* Above the tray where that lies over the screen. */
  position: relative;
  z-index: 1006;
  display: flex;
  align-items: center;
  overflow: hidden;
  border-bottom-width: 1px;
}
.bar > :deep(.v-btn:last-child) {
  margin-inline-end: 4px;
}
.tray {
  grid-area: tray;
  width: 248px;
  overflow-y: auto;
  border-left-width: 1px;
}
@media (max-width: 700px) {
  .bar {
    overflow-x: auto;
  }
  .bar > :deep(*) {
    flex: none;
    margin-inline-end: 6px;
  }
  .bar :deep(.pick) {
    max-width: 170px;
  }
}
</style>
