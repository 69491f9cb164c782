<script setup lang="ts">
import { mdiDeleteOutline, mdiPlus } from '@mdi/js'
import { nextTick, ref } from 'vue'
import { OUTLET_KINDS, OUTLET_NAMES, outletSchema, type Outlet } from '../../../../core/posts/outlet'
import type { OutletLine } from '../../../../shared/workspaceItems'
import { inDigits } from '../../../../core/text/inWords'
import { counted, UNKNOWN } from '~/composables/figures'
import { typedNumber } from '~/composables/typedNumber'
import { useSpread } from '~/stores/spread'
import { useWorkspace } from '~/stores/workspace'

/** The outlets of a channel, with their audience and the visits they brought. */
const open = defineModel<boolean>({ required: true })
const spread = useSpread()
const workspace = useWorkspace()
type Field = 'name' | 'address' | 'audience' | 'tag'
/** What was typed and cannot be saved as it is, by outlet and field, with what is wrong. */
const typed = ref<Record<string, { text: string; fault: string }>>({})
const keyOf = ({ id }: OutletLine, field: Field) => `${id} ${field}`
const shown = (outlet: OutletLine, field: Field) =>
  typed.value[keyOf(outlet, field)]?.text ?? String(outlet[field] ?? '')
const faultsOf = ({ id }: OutletLine) =>
  Object.entries(typed.value)
    .filter(([key]) => key.startsWith(`${id} `))
    .map(([, { fault }]) => fault)
const input = (event: Event) => event.target as HTMLInputElement

/** Saves what was typed where it can be; else it stays in its field, with what is wrong below. */
async function take(outlet: OutletLine, field: Field, text: string) {
  const value = field !== 'audience' ? text.trim() : text.trim() ? (typedNumber(text) ?? Number.NaN) : null
  const { [keyOf(outlet, field)]: _, ...others } = typed.value
  const fault = outletSchema.shape[field].safeParse(value).error?.issues[0]?.message
  typed.value = fault ? { ...others, [keyOf(outlet, field)]: { text, fault } } : others
  if (!fault) await spread.setOutlet(outlet, { [field]: value })
}
const name = ref('')
const list = ref<HTMLElement | null>(null)
async function add() {
  const text = name.value.trim()
  if (!text || !(await spread.addOutlet(text.slice(0, 100)))) return
  name.value = ''
  await nextTick()
  list.value?.querySelector<HTMLElement>('li:last-child select')?.focus()
}
</script>

<template>
  <v-dialog v-model="open" aria-label="Outlets" max-width="860" scrollable>
    <v-card :title="`Outlets of ${workspace.current?.channelTitle ?? workspace.current?.name ?? 'the channel'}`">
      <v-card-text>
        <p class="muted">
          Pages, groups and lists where you announce your videos. Each adds its own tag to the link, so that your
          statistics show where visits come from.
        </p>
        <ul ref="list">
          <li v-for="outlet in spread.outlets" :key="outlet.id" data-test="outlet">
            <label
              >Name
              <input :value="shown(outlet, 'name')" maxlength="100" @change="take(outlet, 'name', input($event).value)"
            /></label>
            <label
              >Kind
              <select
                :value="outlet.kind"
                @change="spread.setOutlet(outlet, { kind: input($event).value as Outlet['kind'] })"
              >
                <option v-for="kind in OUTLET_KINDS" :key="kind" :value="kind">{{ OUTLET_NAMES[kind] }}</option>
              </select></label
            >
            <label
              >Address
              <input
                :value="shown(outlet, 'address')"
                placeholder="https://"
                @change="take(outlet, 'address', input($event).value)"
            /></label>
            <label
              >People
              <input
                class="figure"
                inputmode="numeric"
                :value="shown(outlet, 'audience')"
                placeholder="–"
                @change="take(outlet, 'audience', input($event).value)"
            /></label>
            <label
              >Tag
              <input :value="shown(outlet, 'tag')" maxlength="60" @change="take(outlet, 'tag', input($event).value)"
            /></label>
            <span class="small muted so"
              >used {{ counted(outlet.told, 'time') }},
              {{ outlet.visits === null ? UNKNOWN : inDigits(outlet.visits) }} visits</span
            >
            <v-btn
              size="x-small"
              variant="text"
              :icon="mdiDeleteOutline"
              :aria-label="`Delete: ${outlet.name}`"
              @click="spread.removeOutlet(outlet)"
            />
            <p v-for="fault in faultsOf(outlet)" :key="fault" role="alert" class="small fault">{{ fault }}</p>
          </li>
        </ul>
        <form class="add" @submit.prevent="add">
          <v-text-field
            v-model="name"
            label="Name of another outlet"
            maxlength="100"
            density="compact"
            hide-details
            data-test="outlet-name"
          />
          <v-btn type="submit" variant="tonal" :prepend-icon="mdiPlus" data-test="outlet-add">Add</v-btn>
        </form>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn @click="open = false">Close</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 10px 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1.3fr 1fr 1.3fr 90px 1fr 110px auto;
  gap: 4px 10px;
  align-items: end;
  padding: 6px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
label {
  display: grid;
  font-size: 12px;
  color: var(--muted);
}
input,
select {
  font: inherit;
  font-size: 14px;
  color: var(--ink);
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  min-height: 28px;
  width: 100%;
}
.so {
  align-self: center;
}
.fault {
  grid-column: 1 / -1;
  color: var(--plum);
}
.add {
  display: flex;
  gap: 10px;
  align-items: center;
  max-width: 420px;
}
@media (max-width: 800px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
