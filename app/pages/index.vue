<script setup lang="ts">
import { lastPlace } from '~/composables/lastPlace'

definePageMeta({
  middleware: to =>
    navigateTo(Object.keys(to.query).length ? { path: '/demand', query: to.query } : lastPlace(), { replace: true }),
})
</script>

<template><div /></template>
