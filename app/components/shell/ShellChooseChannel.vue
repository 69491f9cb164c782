<script setup lang="ts">
/** Leads from a screen that knows no video of the channel to where the channel is chosen. */
</script>

<template>
  <p>No videos of your channel are known. Choose it in the Library: its videos are loaded at once.</p>
  <v-btn to="/library?tab=channels" variant="flat" color="primary" data-test="choose-channel"
    >Choose your channel</v-btn
  >
</template>

<style scoped>
.v-btn {
  justify-self: start;
}
</style>
