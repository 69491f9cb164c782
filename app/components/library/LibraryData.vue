<template>
  <div class="data"><LibraryBackups /><LibraryArchive /><LibrarySpace /></div>
</template>

<style scoped>
.data {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: grid;
  gap: 10px;
  align-content: start;
}
</style>
