<script setup lang="ts">
import { ref } from 'vue'
import { messageOf } from '~/composables/api'
import { useAccess } from '~/stores/access'

/** What stands in place of every screen until a key is given. */
const access = useAccess()
const key = ref('')
const problem = ref('')
const busy = ref(false)

async function signIn() {
  problem.value = ''
  if (!key.value.trim()) return void (problem.value = 'Enter your access key.')
  busy.value = true
  try {
    await access.signIn(key.value.trim())
  } catch (error) {
    problem.value = messageOf(error)
    busy.value = false
  }
}
</script>

<template>
  <div class="screen">
    <form class="sheet" data-test="sign-in" @submit.prevent="signIn">
      <h1>Sign in</h1>
      <p class="muted">Sign in with the access key you got from the owner.</p>
      <v-text-field
        v-model="key"
        type="password"
        autocomplete="current-password"
        label="Access key"
        :error-messages="problem ? [problem] : []"
        autofocus
        maxlength="200"
        data-test="access-key"
      />
      <v-btn type="submit" variant="flat" color="primary" :loading="busy">Sign in</v-btn>
    </form>
  </div>
</template>

<style scoped>
form {
  padding: 28px;
  display: grid;
  gap: 12px;
  justify-items: start;
  width: min(440px, 100%);
  margin: 8vh auto 0;
}
form > .v-text-field {
  width: 100%;
}
</style>
