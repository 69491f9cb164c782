<script setup lang="ts">
/** The tray where there is no room beside the screen: over it, while it is wanted. */
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-navigation-drawer v-model="open" tag="aside" location="right" temporary :width="280" class="over" aria-label="Tray"
    ><TrayPanel
  /></v-navigation-drawer>
</template>

<style scoped>
/* Below the bar, whose button closes it. */
.over {
  top: 52px !important;
  height: calc(100% - 52px) !important;
  background: var(--paper);
  border-color: var(--line);
}
</style>
