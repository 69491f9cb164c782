<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, ref } from 'vue'
import { DEFAULT_PROFILE as profile, splitTags, tagKey, tidyTags } from '../../../../core/draft/limits'
import type { PackedTags } from '../../../../core/draft/tags'
import { packSuggested } from '../../../../core/tags/packable'
import { withHashtag } from '../../../../core/draft/hashtags'
import { withoutFiller } from '../../../../core/draft/checks/tagFiller'
import { copyText } from '~/composables/copyText'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The tags in full, what could be added to them and why, and hashtags. */
const brief = useBrief()
const notices = useNotices()
const items = useWorkspaceItems()
const { suggestions, current, hashtags, heldBack, all, problem, load } = useTagSuggestions(computed(() => brief.brief))
const fields = computed(() => brief.fields!)
const tags = computed(() => fields.value.tags)
const { texts, save: saveTexts } = useWorkspaceTexts(computed(() => brief.brief?.workspaceId ?? ''))
async function setDefaults() {
  const before = texts.value.tags
  if (await saveTexts({ tags: tidyTags(tags.value) }))
    notices.show('New briefs of this workspace begin with these tags.', {
      undo: async () => {
        await saveTexts({ tags: before })
      },
    })
}
const pinned = ref(new Set<string>())
const packed = ref<PackedTags | null>(null)

function change(text: string, next: string[]) {
  packed.value = null
  brief.change(text, 'tags', next)
}
const add = (list: string[]) => {
  const all = texts.value.newTags === 'start' ? [...list, ...tags.value] : [...tags.value, ...list]
  change(`${counted(list.length, 'tag')} added.`, tidyTags(all))
}
function pin(tag: string) {
  const key = tagKey(tag)
  const next = new Set(pinned.value)
  if (!next.delete(key)) next.add(key)
  pinned.value = next
}

function pack() {
  packed.value = packSuggested(
    current.value,
    suggestions.value ?? [],
    fields.value.tray.lead ?? '',
    profile,
    tags.value.filter(tag => pinned.value.has(tagKey(tag))),
  )
}
const difference = computed(() => {
  if (!packed.value) return null
  const [before, after] = [new Set(tags.value.map(tagKey)), new Set(packed.value.tags.map(tagKey))]
  return {
    added: packed.value.tags.filter(tag => !before.has(tagKey(tag))),
    dropped: tags.value.filter(tag => !after.has(tagKey(tag))),
    kept: packed.value.tags.filter(tag => before.has(tagKey(tag))).length,
  }
})
const why = (tag: string) =>
  [...current.value, ...(suggestions.value ?? [])].find(each => tagKey(each.tag) === tagKey(tag))?.reasons[0] ?? ''
/** Why a tag would go: what takes its place is worth more for the room. */
const reasonDropped = (tag: string) => {
  const known = current.value.find(each => tagKey(each.tag) === tagKey(tag))
  if (known?.supported === false) return 'The text does not mention it.'
  return known?.volume == null ? 'Its searches are unknown.' : 'Others are worth more for its room.'
}

function addHashtag(hashtag: string) {
  brief.change(`${hashtag} added.`, 'description', withHashtag(fields.value.description, hashtag))
}
function dropFiller() {
  const title = tagKey(fields.value.title)
  const next = tidyTags(
    tags.value.map(tag => (tagKey(tag) === title ? tag : withoutFiller(tag, fields.value.language))),
  )
  change('Filler words removed.', next)
}
async function copy(joint: string) {
  await copyText(tags.value.join(joint))
  notices.show(joint === '\n' ? 'Tags copied, one on each line.' : 'Tags copied, separated by commas.')
}
const listName = ref('')
async function saveList() {
  if (await items.addTagList({ name: listName.value, tags: [...tags.value] })) {
    notices.show(`List “${listName.value}” saved.`)
    listName.value = ''
  }
}
const { open: openFile, onChange } = useFileDialog({ accept: '.txt,.csv,.tsv,text/*', multiple: false, reset: true })
onChange(files => {
  const [file] = files ?? []
  if (!file) return
  if (file.size > 1_000_000) return notices.show('A file of tags can be 1 MB at most.', { serious: true })
  void file.text().then(text => {
    const list = splitTags(text)
    if (list.length) add(list)
    else notices.show('No tags found in this file.')
  })
})
</script>

<template>
  <section class="tags-side sheet" aria-label="Tags in full" data-test="tag-side" @keydown.escape="packed = null">
    <div class="bar">
      <h3>Rack</h3>
      <v-spacer />
      <v-btn size="small" variant="tonal" :disabled="!suggestions" data-test="pack" @click="pack">Pack</v-btn>
      <v-menu>
        <template #activator="{ props: menu }"
          ><v-btn v-bind="menu" size="small" data-test="tag-more">More</v-btn></template
        >
        <v-list role="menu" density="compact">
          <v-list-item role="menuitem" title="Copy, separated by commas" @click="copy(', ')" />
          <v-list-item role="menuitem" title="Copy, one on each line" @click="copy('\n')" />
          <v-list-item role="menuitem" title="Add from a file" @click="openFile()" />
          <v-list-item role="menuitem" title="Leave filler words out" @click="dropFiller" />
          <v-list-item
            role="menuitem"
            :title="texts.newTags === 'start' ? 'Put new tags at the end' : 'Put new tags at the start'"
            @click="saveTexts({ newTags: texts.newTags === 'start' ? 'end' : 'start' })"
          />
          <v-list-item
            role="menuitem"
            title="Make these the default tags"
            data-test="default-set"
            @click="setDefaults"
          />
          <v-list-item
            v-if="texts.tags.length"
            role="menuitem"
            :title="`Add the ${counted(texts.tags.length, 'default tag')}`"
            @click="add(texts.tags)"
          />
          <v-list-item role="menuitem" title="Clear" data-test="tags-clear" @click="change('All tags removed.', [])" />
        </v-list>
      </v-menu>
    </div>
    <div v-if="packed && difference" class="proposal" data-test="packed">
      <div class="bar">
        <v-btn
          size="small"
          variant="flat"
          color="primary"
          data-test="packed-take"
          @click="change('Tags packed.', packed.tags)"
          >Take it</v-btn
        ><v-btn size="small" @click="packed = null">Discard</v-btn>
        <span
          ><strong>Packed:</strong> <span class="figure">{{ packed.used }} / {{ packed.limit }}</span
          >, {{ counted(difference.kept, 'tag') }} kept.</span
        >
      </div>
      <ul v-if="difference.added.length + difference.dropped.length" class="small">
        <li v-for="tag in difference.added" :key="tag">
          <ins>{{ tag }}</ins> <span class="muted">{{ why(tag) }}</span>
        </li>
        <li v-for="tag in difference.dropped" :key="tag">
          <del>{{ tag }}</del> <span class="muted">{{ reasonDropped(tag) }}</span>
        </li>
      </ul>
      <p v-else class="small muted">The tags are packed as well as they can be.</p>
    </div>
    <DeskTagsRack :tags="tags" :known="current" :pinned="pinned" @change="change" @pin="pin" />
    <h3>Suggestions</h3>
    <p v-if="problem" role="alert" class="small">
      {{ problem }} <button class="plain link" @click="load()">Try again</button>
    </p>
    <v-skeleton-loader v-if="!suggestions && !problem" type="list-item@3" />
    <p v-else-if="suggestions && !suggestions.length" class="small muted">
      None yet. Choose a lead phrase, and open its result page in Rivals.
    </p>
    <DeskTagsSuggestions
      v-else-if="suggestions"
      v-model:all="all"
      :suggestions="suggestions"
      :held-back="heldBack"
      @add="add"
    />
    <h3>Hashtags for the description</h3>
    <p class="small muted">
      The first {{ profile.hashtags.shown }} are shown above the title; past {{ profile.hashtags.ignoredPast }} all are
      ignored.
    </p>
    <ul class="hashtags">
      <li v-for="each in hashtags.slice(0, 12)" :key="each.hashtag">
        <button class="plain hashtag" :title="each.reason" data-test="hashtag-add" @click="addHashtag(each.hashtag)">
          {{ each.hashtag }}<span v-if="each.usedBy" class="small muted"> on {{ each.usedBy }}</span>
        </button>
      </li>
    </ul>
    <h3>Saved lists</h3>
    <p v-if="items.problem" role="alert" class="small">{{ items.problem }}</p>
    <ul class="lists">
      <li v-for="list in items.tagLists ?? []" :key="list.id" data-test="tag-list">
        <span
          >{{ list.name }} <span class="small muted">{{ counted(list.tags.length, 'tag') }}</span></span
        ><v-btn size="x-small" variant="tonal" data-test="tag-list-add" @click="add(list.tags)">Add</v-btn
        ><v-btn size="x-small" @click="items.removeTagList(list)">Delete</v-btn>
      </li>
    </ul>
    <form class="bar" @submit.prevent="saveList">
      <v-text-field
        v-model="listName"
        label="Save these tags as a list"
        hide-details
        maxlength="120"
        data-test="tag-list-name"
      /><v-btn type="submit" variant="tonal" :disabled="!listName.trim() || !tags.length" data-test="tag-list-save"
        >Save</v-btn
      >
    </form>
  </section>
</template>

<style scoped>
.tags-side {
  overflow-y: auto;
  min-height: 0;
  padding: 10px 14px 14px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
}
h3 {
  font-size: 13px;
  margin: 14px 0 2px;
}
.bar h3 {
  margin: 0;
}
.proposal {
  border: 1px solid var(--teal);
  border-radius: 4px;
  padding: 8px 10px;
  display: grid;
  gap: 6px;
  margin: 6px 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
ins {
  text-decoration: underline 2px var(--teal);
  text-underline-offset: 3px;
}
del {
  color: var(--muted);
}
.hashtags {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.hashtag {
  color: var(--teal);
}
.lists li {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  padding: 2px 0;
}
.lists li > span {
  flex: 1;
}
.link {
  color: var(--teal);
}
</style>
