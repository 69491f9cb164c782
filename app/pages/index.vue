<script setup lang="ts">
definePageMeta({ middleware: to => navigateTo({ path: '/demand', query: to.query }, { replace: true }) })
</script>

<template><div /></template>
