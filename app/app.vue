<template>
  <ShellFrame><NuxtPage /></ShellFrame>
</template>
