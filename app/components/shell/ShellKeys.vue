<script setup lang="ts">
import { SHELL_KEYS } from '~/composables/shellKeys'

const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog v-model="open" aria-label="Keys" max-width="520">
    <v-card title="Keys">
      <v-card-text>
        <dl>
          <template v-for="key in SHELL_KEYS" :key="key.keys"
            ><dt class="figure">{{ key.keys }}</dt>
            <dd>{{ key.does }}</dd></template
          >
        </dl>
      </v-card-text>
      <v-card-actions><v-spacer /><v-btn @click="open = false">Close</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 8px 20px;
}
dd {
  margin: 0;
}
</style>
