<script setup lang="ts">
import { computed } from 'vue'
import { KIND_NAMES, type TargetKind } from '../../../../core/release/cards'
import { useLeadTargets } from '~/composables/leadTargets'

/** Where a card or an element leads: one of my videos, a playlist, a channel, an address. */
const props = defineProps<{ kind: TargetKind; target: string; title: string; label: string }>()
const emit = defineEmits<{ choose: [target: string, title: string] }>()
const targets = useLeadTargets()
/** What was chosen before stays among them, also when it is no longer there. */
const choices = computed(() => {
  const known = props.kind === 'playlist' ? targets.playlists.value : targets.videos.value
  const here = known.some(({ id }) => id === props.target)
  return props.target && !here ? [{ id: props.target, title: props.title || props.target }, ...known] : known
})
const choose = (id: string | null) => emit('choose', id ?? '', choices.value.find(each => each.id === id)?.title ?? '')
</script>

<template>
  <v-autocomplete
    v-if="kind === 'video' || kind === 'playlist'"
    :model-value="target || null"
    :items="choices"
    item-title="title"
    item-value="id"
    :label="label"
    density="compact"
    variant="underlined"
    hide-details
    clearable
    :no-data-text="kind === 'video' ? 'No videos of your channel are known.' : 'There is no playlist yet.'"
    data-test="target"
    @update:model-value="choose"
  />
  <v-text-field
    v-else
    :model-value="target"
    :label="kind === 'link' ? 'Address' : `${KIND_NAMES[kind]} (its id or name)`"
    :placeholder="kind === 'link' ? 'https://' : ''"
    density="compact"
    variant="underlined"
    hide-details
    data-test="target"
    @change="emit('choose', ($event.target as HTMLInputElement).value.trim(), '')"
  />
</template>
