<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { LENGTHS, usualOrder, type Composed, type DescriptionLength } from '../../../../core/descriptions/compose'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { linesOf } from '~/composables/workspaceTexts'
import { useBrief } from '~/stores/brief'
import { useProposal } from '~/stores/proposal'

/** A first draft of the description from what the person gives, shown as a difference and taken whole or not. */
const brief = useBrief()
const workspace = computed(() => brief.brief?.workspaceId ?? '')
const fields = computed(() => brief.fields!)
const benefits = ref('')
/** What stands in every video of a channel is typed once. */
const { texts, save } = useWorkspaceTexts(workspace)
const links = ref('')
const contact = ref('')
/** What is saved comes into its field unless something else was typed there meanwhile. */
let taken = { links: '', contact: '' }
watch(
  texts,
  saved => {
    const next = { links: saved.links.join('\n'), contact: saved.contact.join('\n') }
    if (links.value === taken.links) links.value = next.links
    if (contact.value === taken.contact) contact.value = next.contact
    taken = next
  },
  { immediate: true },
)
/** Only what was typed here is saved: the other field may not have come yet. */
const keep = () =>
  save({
    ...(links.value === taken.links ? {} : { links: linesOf(links.value) }),
    ...(contact.value === taken.contact ? {} : { contact: linesOf(contact.value) }),
  })
const LENGTH_NAMES = { short: 'Short', middle: 'Middle', long: 'Long' }
const length = ref<DescriptionLength>('middle')
const proposal = useProposal()
/** What was composed last, while it is proposed in the description. */
const composed = ref<Composed | null>(null)
const open = computed(() => (proposal.proposals.description ? composed.value : null))
const problem = ref('')
const busy = ref(false)
let seed = 0

const lead = computed(() => fields.value.tray.lead ?? '')
const usual = computed(() => {
  const town = brief.brief?.seriesPlace
  return [...usualOrder(lead.value, fields.value.language, town ? [town] : [])]
})
/** What is asked, but for the phrases and the wording. */
const limits = useLimits()
const question = computed(() => ({
  profile: limits.value.id,
  language: fields.value.language,
  benefits: linesOf(benefits.value),
  links: linesOf(links.value),
  contact: linesOf(contact.value),
  length: length.value,
  ...(texts.value.order.length ? { order: texts.value.order } : {}),
}))
async function compose() {
  void keep()
  busy.value = true
  problem.value = ''
  const { tray } = fields.value
  try {
    composed.value = await api('POST /api/descriptions/compose', {
      body: { ...question.value, phrases: { lead: lead.value, support: [...tray.support] }, seed: seed++ },
    })
    proposal.show('description', composed.value.description, 'Description composed.')
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section
    class="compose sheet"
    aria-label="Compose the description"
    data-test="compose"
    @keydown.escape="proposal.drop('description')"
  >
    <p v-if="!lead" class="muted small">A description is composed around a phrase. Choose a lead phrase in the tray.</p>
    <form class="given" @submit.prevent="compose">
      <v-textarea
        v-model="benefits"
        label="What the viewer gets, one per line"
        rows="2"
        auto-grow
        max-rows="5"
        hide-details
        maxlength="4000"
        data-test="benefits"
      />
      <div class="two">
        <v-textarea
          v-model="links"
          label="Links"
          rows="1"
          auto-grow
          max-rows="4"
          hide-details
          maxlength="4000"
          data-test="links"
          @blur="keep"
        />
        <v-textarea
          v-model="contact"
          label="Contact"
          rows="1"
          auto-grow
          max-rows="4"
          hide-details
          maxlength="4000"
          @blur="keep"
        />
      </div>
      <div class="row">
        <v-btn-toggle v-model="length" mandatory density="compact" variant="outlined" divided aria-label="Length">
          <v-btn v-for="each in LENGTHS" :key="each" :value="each" :aria-pressed="length === each" size="small">{{
            LENGTH_NAMES[each]
          }}</v-btn>
        </v-btn-toggle>
        <v-btn type="submit" variant="tonal" :loading="busy" :disabled="!lead" data-test="compose-run">{{
          open ? 'Other wording' : 'Compose'
        }}</v-btn>
      </div>
    </form>
    <details class="small">
      <summary>Order of the parts</summary>
      <DeskDescriptionOrder
        :model-value="texts.order.length ? texts.order : usual"
        @update:model-value="save({ order: $event })"
      />
      <button v-if="texts.order.length" class="plain link" @click="save({ order: [] })">Back to the usual order</button>
    </details>
    <DeskDescriptionSeries v-if="brief.brief!.seriesId" :question="question" />
    <p v-if="problem" role="alert" class="small">{{ problem }}</p>
    <div v-if="open" class="proposal" data-test="proposal">
      <div class="row">
        <v-btn
          variant="flat"
          color="primary"
          size="small"
          data-test="proposal-take"
          @click="proposal.take('description')"
          >Take it</v-btn
        >
        <v-btn size="small" @click="proposal.drop('description')">Discard</v-btn>
        <span class="small muted">{{
          open.gaps ? `${counted(open.gaps, 'gap')} to fill, marked […]` : 'No gaps to fill'
        }}</span>
      </div>
      <p class="muted small">It is shown in the description: added underlined, removed struck.</p>
    </div>
    <p v-else-if="lead" class="muted small">
      It states only what you give here and marks the rest […]. Your text stays until you take the proposal.
    </p>
  </section>
</template>

<style scoped>
.compose {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
  overflow-y: auto;
  padding: 14px;
}
.given {
  display: grid;
  gap: 10px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.row {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
.link {
  color: var(--teal);
}
.proposal {
  display: grid;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}
</style>
