<script setup lang="ts">
import { computed } from 'vue'
import { useThumbnails } from '~/stores/thumbnails'

/** Choosing the picture: candidates, what they are worth among the rivals', and how they are seen. */
const thumbnails = useThumbnails()
thumbnails.useWhileShown()
const VIEWS = [
  { side: 'rivals', title: 'Among the rivals' },
  { side: 'sizes', title: 'At real sizes' },
] as const
type View = (typeof VIEWS)[number]['side']
const route = useRoute()
const address = useAddress()
const view = computed<View>(() => VIEWS.find(each => each.side === route.query.seen)?.side ?? 'rivals')
/** The picture that is looked at: the one the address names, the chosen one, the first. */
const looked = computed(() => {
  const items = thumbnails.items ?? []
  return (
    items.find(({ id }) => id === route.query.picture) ??
    items.find(({ value }) => value.hash === thumbnails.chosen?.hash) ??
    items[0] ??
    null
  )
})
const turn = (side: View) => address({ seen: side === 'rivals' ? undefined : side }, true)
</script>

<template>
  <div class="parts">
    <ReleaseThumbnailCandidates :looked="looked?.id ?? null" @look="address({ picture: $event }, true)" />
    <div class="look">
      <ShellFailed
        v-if="thumbnails.problem"
        :problem="`Could not load the pictures. ${thumbnails.problem}`"
        @again="thumbnails.load()"
      />
      <template v-else>
        <DeskSides
          :model-value="view"
          :sides="VIEWS"
          label="How it is looked at"
          named="seen"
          @update:model-value="turn"
        />
        <ReleaseThumbnailRivals v-if="view === 'rivals'" :looked="looked" @look="address({ picture: $event }, true)" />
        <ReleaseThumbnailSizes v-else :looked="looked" />
      </template>
    </div>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: 272px minmax(0, 1fr);
  gap: 14px;
  flex: 1;
  min-height: 0;
}
.look {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  gap: 8px;
  min-height: 0;
}
.look > :deep(.v-btn-toggle) {
  align-self: start;
  flex: none;
}
@media (max-width: 1200px) {
  .parts {
    grid-template-columns: 200px minmax(0, 1fr);
  }
}
@media (max-width: 1000px) {
  .parts {
    display: flex;
    flex-direction: column;
  }
}
</style>
