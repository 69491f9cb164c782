<script setup lang="ts">
import { ref, useTemplateRef, watch } from 'vue'
import type { VTextField } from 'vuetify/components'
import { goTo } from '~/composables/address'
import { messageOf } from '~/composables/api'
import { remember } from '~/composables/remember'
import { giveTyped } from '~/composables/typedAhead'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

const open = defineModel<boolean>({ required: true })
const library = useLibrary()
const workspace = useWorkspace()
const first = useTemplateRef<VTextField>('first')
// Not `autofocus`: that waits until the field is seen, and loses the first letters typed.
watch(first, field => field && giveTyped(field), { flush: 'post' })
const topic = ref('')
const region = ref<string | null>(null)
const language = ref('en')
const problem = ref('')
const busy = ref(false)

watch(
  open,
  now => {
    if (!now) return
    topic.value = ''
    problem.value = ''
    language.value = workspace.current?.language ?? 'en'
    // As the last one; where there was none, where the channel is.
    region.value = (localStorage.getItem('fonetra.region') ?? workspace.current?.region) || null
  },
  { immediate: true },
)

async function make() {
  if (!topic.value.trim()) {
    problem.value = 'Enter a topic in a few words.'
    return
  }
  busy.value = true
  try {
    const brief = await library.create({
      topic: topic.value.trim().slice(0, 300),
      region: region.value,
      language: language.value,
    })
    remember('fonetra.region', region.value ?? '')
    open.value = false
    await goTo({
      path: '/demand',
      query: { brief: brief.id, seed: brief.fields.topic.toLowerCase().slice(0, 200) },
    })
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <v-dialog v-model="open" aria-label="New brief" max-width="460">
    <v-card title="New brief">
      <v-card-text>
        <v-text-field
          ref="first"
          v-model="topic"
          label="What is the video about?"
          maxlength="300"
          :error-messages="problem"
          data-test="new-topic"
          @keydown.enter="make"
          @update:model-value="problem = ''"
        />
        <ShellRegion v-model="region" class="mt-4" />
        <ShellLanguage v-model="language" class="mt-4" />
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="open = false">Cancel</v-btn
        ><v-btn color="primary" variant="flat" :loading="busy" data-test="new-make" @click="make"
          >Create</v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>
