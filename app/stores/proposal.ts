import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import { useBrief } from './brief'

/** Fields whose proposals are shown in their own editor. */
export type ProposedField = 'title' | 'description'
interface Proposal {
  /** The whole text proposed. */
  text: string
  /** What is said once it is taken. */
  said: string
}

/**
 * Texts proposed in place of what stands, each shown as a difference in its field until it is taken or left, whole or
 * piece by piece.
 */
export const useProposal = defineStore('proposal', () => {
  const brief = useBrief()
  const proposals = ref<Partial<Record<ProposedField, Proposal>>>({})

  function drop(field: ProposedField) {
    const { [field]: _dropped, ...rest } = proposals.value
    proposals.value = rest
  }
  function show(field: ProposedField, text: string, said: string) {
    if (text === brief.fields?.[field]) drop(field)
    else proposals.value = { ...proposals.value, [field]: { text, said } }
  }
  /** Takes a text in the field's place: the proposal, or what stands with some pieces of it. */
  function take(field: ProposedField, text?: string) {
    const proposal = proposals.value[field]
    if (!proposal) return
    brief.change(
      text === undefined || text === proposal.text ? proposal.said : 'Piece taken.',
      field,
      text ?? proposal.text,
    )
    if (brief.fields?.[field] === proposal.text) drop(field)
  }
  watch(
    () => brief.brief?.id,
    () => {
      proposals.value = {}
    },
  )
  return { proposals, show, take, drop }
})
