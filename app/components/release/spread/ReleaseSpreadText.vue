<script setup lang="ts">
import { mdiContentCopy, mdiDeleteOutline, mdiPencilPlusOutline, mdiTextBoxPlusOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { asLong, LINK, withAddress } from '../../../../core/posts/address'
import { postKind, type PostKind } from '../../../../core/posts/kinds'
import { count } from '../../../../core/text/count'
import { copyText } from '~/composables/copyText'
import { useNotices } from '~/stores/notices'
import { useSpread } from '~/stores/spread'

/** One text to spread the word with: edited, counted with the address in it, and copied for an outlet. */
const props = defineProps<{ kind: PostKind }>()
const spread = useSpread()
const notices = useNotices()
const of = computed(() => postKind(props.kind))
const item = computed(() => spread.ofKind(props.kind))
const open = computed(() => (spread.open?.id === item.value?.id ? spread.open : null))
const tally = computed(() => ({
  used: count(asLong(open.value?.text ?? '', spread.longest), of.value.unit),
  limit: of.value.limit,
  unit: of.value.unit,
}))
/** Outlets for which it is copied: those it is meant for first. */
const outlets = computed(() =>
  [...spread.outlets].sort(
    (a, b) => Number(of.value.outlets.includes(b.kind)) - Number(of.value.outlets.includes(a.kind)),
  ),
)
const chosen = ref<string | null>(null)
const outlet = computed(() => outlets.value.find(({ id }) => id === chosen.value) ?? outlets.value[0] ?? null)

async function copy() {
  const { text } = open.value!
  await copyText(withAddress(text, spread.addressFor(outlet.value)))
  const where = outlet.value ? ` for ${outlet.value.name}` : ''
  notices.show(
    text.includes(LINK) && !spread.address
      ? `Copied${where}. The video has no address yet: ${LINK} stands where it goes.`
      : `Copied${where}.`,
  )
}
</script>

<template>
  <DeskSettle
    v-if="open && spread.theirs"
    said="This text was changed in another window."
    @settle="spread.settle($event)"
  />
  <p v-if="spread.openProblem" role="alert">{{ spread.openProblem }}</p>
  <div v-if="!item" class="none">
    <p class="muted">Nothing is written here yet.</p>
    <v-btn
      size="small"
      variant="tonal"
      color="primary"
      :prepend-icon="mdiTextBoxPlusOutline"
      :loading="spread.writing"
      data-test="write-post"
      @click="spread.writeAll([kind])"
      >Write it from the brief</v-btn
    >
    <v-btn size="small" variant="text" :prepend-icon="mdiPencilPlusOutline" @click="spread.begin(kind)"
      >Start with an empty text</v-btn
    >
  </div>
  <v-skeleton-loader v-else-if="!open" type="paragraph" />
  <template v-else>
    <div class="line">
      <DeskTally :tally="tally" unit />
      <span
        v-if="open.text.includes(LINK)"
        class="small muted"
        :title="spread.longest || 'The address of the video is not known yet: 90 characters are reckoned for it.'"
        >{{ LINK }} is the video’s address</span
      >
      <v-spacer />
      <DeskSaving :state="spread.saving" data-test="post-saved" @retry="spread.flush()" />
    </div>
    <div class="line">
      <v-btn
        size="small"
        variant="flat"
        color="primary"
        :prepend-icon="mdiContentCopy"
        data-test="post-copy"
        @click="copy"
        >Copy</v-btn
      >
      <label v-if="outlets.length" class="small for"
        >for
        <select v-model="chosen" :title="spread.addressFor(outlet) || undefined" data-test="post-for">
          <option v-for="(each, i) in outlets" :key="each.id" :value="i === 0 ? null : each.id">{{ each.name }}</option>
        </select></label
      >
      <v-spacer />
      <button class="plain link small" :disabled="spread.writing" data-test="post-anew" @click="spread.writeAnew(kind)">
        Write again
      </button>
      <v-btn
        size="x-small"
        variant="text"
        :icon="mdiDeleteOutline"
        :aria-label="`Delete: ${of.name}`"
        @click="spread.removePost(item)"
      />
    </div>
    <DeskText
      :key="open.id"
      class="long"
      :model-value="open.text"
      :label="of.name"
      hint="What you want to say"
      :underlines="[]"
      :phrases="[]"
      :marks="[]"
      data-test="post-text"
      @update:model-value="spread.set({ text: $event })"
    />
  </template>
</template>

<style scoped>
.none {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 20px 0;
}
.none p {
  flex: 1 1 100%;
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}
.long {
  flex: 1;
  min-height: 160px;
  overflow: auto;
}
.for {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
select {
  font: inherit;
  color: inherit;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: 4px;
  min-height: 28px;
  max-width: 200px;
}
.link {
  min-height: 24px;
}
</style>
