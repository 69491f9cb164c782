<script setup lang="ts">
import { firstPlace } from '~/composables/lastPlace'

definePageMeta({
  middleware: to =>
    navigateTo(Object.keys(to.query).length ? { path: '/demand', query: to.query } : firstPlace(), { replace: true }),
})
</script>

<template><div /></template>
