<script setup lang="ts">
import '~/assets/layeredStyles'
</script>

<template>
  <ShellFrame><NuxtPage /></ShellFrame>
</template>
