import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { clock } from '../../core/captions/cue'
import { cardFaults, KIND_NAMES, type Card } from '../../core/release/cards'
import {
  ELEMENT_SIZES,
  elementFaults,
  endScreenFaults,
  endScreenStart,
  fitted,
  type ElementKind,
  type EndElement,
  type EndScreen,
} from '../../core/release/endScreen'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { useRelease } from '~/stores/release'

/** The cards and the end screen of the open brief, and every change of them with its way back. */
export function useVideoLeads() {
  const brief = useBrief()
  const film = useFilm()
  const release = useRelease()
  const limits = useLimits()
  const cards = computed(() => brief.fields!.cards)
  const end = computed(() => brief.fields!.endScreen)
  const rights = computed(() => release.around?.account.rights ?? null)
  const faultsOfCards = computed(() => {
    const found = cardFaults(cards.value, {
      seconds: film.seconds,
      endFrom: end.value?.from ?? null,
      profile: limits.value,
      rights: rights.value,
    })
    return new Map(cards.value.map((card, i) => [card.id, found[i]!]))
  })
  const faultsOfElements = computed(() => {
    const elements = end.value?.elements ?? []
    const found = elementFaults(elements, limits.value, rights.value)
    return new Map(elements.map((element, i) => [element.id, found[i]!]))
  })
  const faultsOfEnd = computed(() => (end.value ? endScreenFaults(end.value, film.seconds, limits.value) : []))
  /** A tenth of a second is exact enough; up, so that a card does not come before the line it belongs to. */
  const tenths = (seconds: number) => Math.ceil(Math.round(Math.max(0, seconds) * 1000) / 100) / 10

  const putCards = (said: string, next: Card[]) => brief.change(said, 'cards', next)
  const putEnd = (said: string, next: EndScreen | null) => brief.change(said, 'endScreen', next)
  const withCard = (id: string, change: Partial<Card>) =>
    cards.value.map(card => (card.id === id ? { ...card, ...change } : card))
  const withElements = (elements: EndElement[]): EndScreen => ({ ...end.value!, elements })

  return {
    cards,
    end,
    limits,
    rights,
    faultsOfCards,
    faultsOfElements,
    faultsOfEnd,
    /** @returns the id of the card. */
    addCard(given: Partial<Card> = {}): string {
      const id = uuid()
      const card = {
        id,
        at: tenths(film.at),
        kind: 'video' as const,
        target: '',
        title: '',
        message: '',
        teaser: '',
        ...given,
      }
      putCards(`Card added at ${clock(card.at)}.`, [...cards.value, { ...card, at: tenths(card.at) }])
      return id
    },
    moveCard(id: string, at: number) {
      const to = tenths(at)
      if (cards.value.find(card => card.id === id)?.at !== to)
        putCards(`Card moved to ${clock(to)}.`, withCard(id, { at: to }))
    },
    /** Typing, which is taken back as text is. */
    typeCard: (id: string, change: Partial<Card>) => brief.set('cards', withCard(id, change), true),
    setCard: (id: string, change: Partial<Card>) => putCards('Card changed.', withCard(id, change)),
    removeCard: (id: string) =>
      putCards(
        'Card removed.',
        cards.value.filter(card => card.id !== id),
      ),

    addEnd() {
      const from = tenths(endScreenStart(film.seconds ?? limits.value.endScreen.longest, limits.value))
      putEnd(`End screen added, from ${clock(from)} on.`, { from, elements: [] })
    },
    removeEnd: () => putEnd('End screen removed.', null),
    moveEnd(from: number) {
      const to = tenths(from)
      if (end.value && end.value.from !== to)
        putEnd(`The end screen begins at ${clock(to)}.`, { ...end.value, from: to })
    },
    /** @returns the id of the element. */
    addElement(kind: ElementKind, given: Partial<EndElement> = {}): string {
      const id = uuid()
      const taken = end.value!.elements.length
      // Each new one where none of the others is: from left to right, then below.
      const place = { x: 0.06 + 0.46 * (taken % 2), y: taken < 2 ? 0.12 : 0.56 }
      const element = fitted({
        id,
        kind,
        pick: 'best',
        target: '',
        title: '',
        width: ELEMENT_SIZES[kind].usual,
        ...place,
        ...given,
      })
      putEnd(`${KIND_NAMES[kind]} added.`, withElements([...end.value!.elements, element]))
      return id
    },
    setElement(id: string, change: Partial<EndElement>, said = 'End screen changed.') {
      const elements = end.value!.elements.map(each => (each.id === id ? fitted({ ...each, ...change }) : each))
      putEnd(said, withElements(elements))
    },
    removeElement: (id: string) =>
      putEnd('Element removed.', withElements(end.value!.elements.filter(each => each.id !== id))),
    takeLayout(name: string, elements: readonly EndElement[]) {
      const from =
        end.value?.from ?? tenths(endScreenStart(film.seconds ?? limits.value.endScreen.longest, limits.value))
      putEnd(`Layout “${name}” taken.`, { from, elements: elements.map(element => ({ ...element, id: uuid() })) })
    },
  }
}
