<script setup lang="ts">
import { computed, ref } from 'vue'
import { weightFromTrial } from '../../../core/evidence/weights'
import { checkTitle } from '~/composables/manyEditWords'
import { useNotices } from '~/stores/notices'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The weight that follows from a trial, put into a rule set. */
const props = defineProps<{ check: string; effect: { low: number; high: number } }>()
const items = useWorkspaceItems()
const notices = useNotices()
const chosen = ref('balanced')
const set = computed(() => items.ruleSetOf(chosen.value))
const own = computed(() => items.ownRuleSets.find(({ id }) => id === set.value.id) ?? null)
const before = computed(() => set.value.checks[props.check]?.weight ?? 0)
const after = computed(() => weightFromTrial(before.value, props.effect))
const busy = ref(false)
async function put() {
  if (busy.value) return
  busy.value = true
  try {
    const { name, note } = set.value
    const checks = { ...set.value.checks, [props.check]: { ...set.value.checks[props.check], weight: after.value } }
    // Sets that ship stay as they are.
    if (own.value) {
      if (!(await items.setRuleSet(own.value, { name, note, checks }))) return
    } else {
      const id = await items.addRuleSet({ name: `${name} (copy)`.slice(0, 100), note, checks })
      if (!id) return
      chosen.value = id
    }
    notices.show(`“${checkTitle(props.check)}” weighs ${after.value} in “${set.value.name}” now.`)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="weight" data-test="trial-weight">
    <ShellRuleSet v-model="chosen" density="compact" variant="outlined" class="set" />
    <p v-if="!before" class="small muted">This set does not weigh it.</p>
    <template v-else-if="after !== before">
      <span
        class="figure"
        title="By the end of the interval that is nearer to no difference: twice as much for sure doubles a weight"
        >{{ before }} → {{ after }}</span
      >
      <v-btn size="small" variant="tonal" :loading="busy" data-test="trial-put" @click="put">{{
        own ? 'Put into this set' : 'Put into a copy of it'
      }}</v-btn>
    </template>
    <p v-else class="small muted">Its weight of {{ before }} stays: the difference is too small to change it.</p>
  </div>
</template>

<style scoped>
.weight {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}
.set {
  flex: 0 1 200px;
}
</style>
