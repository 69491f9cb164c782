<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { readProfile, writeProfile } from '../../../../core/draft/profileFile'
import type { LimitProfile } from '../../../../core/draft/limits'
import { ownProfileSchema } from '../../../../core/draft/profileSchema'
import { UNITS, type Unit } from '../../../../core/text/count'
import { saveFile } from '~/composables/saveFile'
import { settingsFileName, useSettingsFile } from '~/composables/settingsFile'
import { useNotices } from '~/stores/notices'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The limits of a site: read, copied, changed. */
const shown = defineModel<string>('shown', { required: true })
const chosen = defineModel<string>({ required: true })
const items = useWorkspaceItems()
const notices = useNotices()
const saved = computed(() => items.ownProfiles.find(each => each.id === shown.value) ?? null)
const copy = (profile: LimitProfile): LimitProfile => JSON.parse(JSON.stringify(profile)) as LimitProfile
const draft = ref(copy(items.profileOf(shown.value)))
watch([shown, () => items.profiles], () => {
  draft.value = copy(items.profileOf(shown.value))
})
const changed = computed(() => JSON.stringify(draft.value) !== JSON.stringify(copy(items.profileOf(shown.value))))

const UNIT_NAMES: Record<Unit, string> = {
  utf16: 'UTF-16 units',
  codePoints: 'code points',
  graphemes: 'characters as seen',
  bytes: 'bytes (UTF-8)',
}
/** Each limit with where it stands in the profile. */
const ROWS: { label: string; at: [keyof LimitProfile, string]; unit?: [keyof LimitProfile, string] }[] = [
  { label: 'Title', at: ['title', 'limit'], unit: ['title', 'unit'] },
  { label: 'Description', at: ['description', 'limit'], unit: ['description', 'unit'] },
  { label: 'Shown of a description, in code points', at: ['description', 'openingCodePoints'] },
  { label: 'Tags in all', at: ['tags', 'limit'], unit: ['tags', 'unit'] },
  { label: 'More for a tag with a space', at: ['tags', 'spacedTagExtra'] },
  { label: 'Between two tags', at: ['tags', 'separator'] },
  { label: 'Hashtags shown', at: ['hashtags', 'shown'] },
  { label: 'Hashtags, past which all are ignored', at: ['hashtags', 'ignoredPast'] },
  { label: 'Chapters at least', at: ['chapters', 'least'] },
  { label: 'Seconds of a chapter at least', at: ['chapters', 'leastSeconds'] },
  { label: 'Title of a playlist', at: ['playlist', 'titleLimit'], unit: ['playlist', 'titleUnit'] },
  { label: 'Text of a playlist', at: ['playlist', 'descriptionLimit'], unit: ['playlist', 'descriptionUnit'] },
  { label: 'Thumbnail, width advised', at: ['thumbnail', 'width'] },
  { label: 'Thumbnail, height advised', at: ['thumbnail', 'height'] },
  { label: 'Thumbnail, width at least', at: ['thumbnail', 'leastWidth'] },
  { label: 'Thumbnail, bytes', at: ['thumbnail', 'bytes'] },
  { label: 'Cards', at: ['cards', 'most'] },
  { label: 'Text of a card', at: ['cards', 'text'] },
  { label: 'Elements of an end screen', at: ['endScreen', 'most'] },
  { label: 'Seconds of an end screen at least', at: ['endScreen', 'shortest'] },
  { label: 'Seconds of an end screen at most', at: ['endScreen', 'longest'] },
  { label: 'Title on a phone, in ems', at: ['surfaces', 'phone'] },
  { label: 'Title in a list, in ems', at: ['surfaces', 'desktopList'] },
  { label: 'Title in a column of suggestions, in ems', at: ['surfaces', 'suggestion'] },
]
type Group = Record<string, number | string>
const value = ([group, name]: [keyof LimitProfile, string]) => (draft.value[group] as unknown as Group)[name]!
function put([group, name]: [keyof LimitProfile, string], given: number | string) {
  const next = copy(draft.value)
  ;(next[group] as unknown as Group)[name] = given
  const { success, error } = ownProfileSchema.safeParse(next)
  if (!success) return notices.show(error.issues[0]!.message, { serious: true })
  draft.value = next
}
const ownOf = ({ format: _, id: __, ...own }: LimitProfile) => own
async function duplicate() {
  const id = await items.addProfile({ ...ownOf(draft.value), name: `${draft.value.name} (copy)`.slice(0, 100) })
  if (id) shown.value = id
}
const file = () => saveFile(settingsFileName(draft.value.name, 'limits'), writeProfile(draft.value), 'application/json')
const { faults, choose } = useSettingsFile(async text => {
  const limits = readProfile(text)
  const id = await items.addProfile(limits)
  if (!id) return
  shown.value = id
  notices.show(`Limits “${limits.name}” read.`)
})
async function save() {
  if (saved.value && (await items.setProfile(saved.value, ownOf(draft.value))))
    notices.show(`Limits “${draft.value.name}” saved.`)
}
async function remove() {
  const profile = saved.value!
  if (chosen.value === profile.id) chosen.value = items.profiles[0]!.id
  shown.value = items.profiles[0]!.id
  await items.removeProfile(profile)
}
</script>

<template>
  <div class="limits" data-test="limits">
    <v-text-field v-if="saved" v-model="draft.name" label="Name" maxlength="100" hide-details data-test="limits-name" />
    <template v-else>
      <h3>{{ draft.name }}</h3>
      <p class="small">{{ draft.note }}</p>
      <p class="small muted">It ships with Fonetra. Duplicate it to change it.</p>
    </template>
    <div class="bar">
      <v-btn size="small" variant="tonal" :disabled="shown === chosen" data-test="limits-use" @click="chosen = shown"
        >Use for this brief</v-btn
      >
      <v-btn size="small" data-test="limits-duplicate" @click="duplicate">Duplicate</v-btn>
      <v-btn size="small" data-test="limits-export" @click="file">Save as a file</v-btn>
      <v-btn size="small" data-test="limits-import" @click="choose">Open a file</v-btn>
      <v-btn v-if="saved" size="small" data-test="limits-delete" @click="remove">Delete</v-btn>
      <v-btn
        v-if="saved"
        size="small"
        variant="flat"
        color="primary"
        :disabled="!changed || !draft.name.trim()"
        data-test="limits-save"
        @click="save"
        >Save</v-btn
      >
    </div>
    <ul v-if="faults.length" role="alert" class="small faults" data-test="limits-faults">
      <li v-for="fault in faults" :key="fault">{{ fault }}</li>
    </ul>
    <table aria-label="Limits">
      <tbody>
        <tr v-for="row in ROWS" :key="row.label">
          <th scope="row">{{ row.label }}</th>
          <td>
            <ShellTyped
              class="figure"
              :value="String(value(row.at))"
              :disabled="!saved"
              size="7"
              inputmode="decimal"
              :aria-label="row.label"
              @typed="put(row.at, Number($event.replace(',', '.')))"
            />
          </td>
          <td>
            <select
              v-if="row.unit"
              :value="value(row.unit)"
              :disabled="!saved"
              :aria-label="`Unit of ${row.label}`"
              @change="put(row.unit, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="unit in UNITS" :key="unit" :value="unit">{{ UNIT_NAMES[unit] }}</option>
            </select>
          </td>
        </tr>
        <tr>
          <th scope="row">Signs a title may not have</th>
          <td colspan="2" class="figure">{{ draft.title.forbidden.join(' ') || 'none' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.faults {
  padding-left: 16px;
  overflow-wrap: anywhere;
}
table {
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: start;
}
th,
td {
  font-size: 13px;
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
input {
  border: 0;
  border-bottom: 1px solid var(--line);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  min-height: 24px;
  text-align: end;
  font-family: var(--mono);
}
input:disabled,
select:disabled {
  border-bottom-color: transparent;
  opacity: 1;
}
h3 {
  font-size: 15px;
}
</style>
