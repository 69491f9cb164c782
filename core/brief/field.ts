import { z } from 'zod'
import type { DraftTexts } from '../draft/draft'
import { inDigits } from '../text/inWords'

/** One field of a brief: all that is the field's own, so that a new one is one new file. */
export interface FieldDefinition<Value> {
  /** As screens name it. */
  label: string
  schema: z.ZodType<Value>
  /** What a brief has before anything is written. */
  empty: Value
  /** The version of its stored form. */
  format: number
  /** Turns a value stored in an older form into today's. Needed once `format` is over 1. */
  upgrade?: (value: unknown, format: number) => unknown
  /** Whether earlier values are kept: texts are, choices are not. */
  history: boolean
  /** Whether a copy of the brief has it too; it does unless said otherwise. */
  copied?: boolean
  /** The value in words that a person can compare; empty for an empty one. */
  shown: (value: Value) => string
  /** Its parts of the exported text, each under a heading. */
  exported?: (value: Value) => { heading: string; text: string }[]
  /** What it gives the draft that is scored. */
  draft?: (value: Value) => Partial<DraftTexts>
}

/**
 * Texts may be far over a site's limit while they are worked on; these bounds only keep a mistake, such as a pasted
 * book, from being saved.
 */
export const boundedText = (what: string, most: number) =>
  z
    .string()
    .max(most, `This ${what} is longer than ${inDigits(most)} characters. Shorten it; the last saved text stays.`)

type Given<Value> = Pick<FieldDefinition<Value>, 'label' | 'schema' | 'empty' | 'shown'> &
  Partial<FieldDefinition<Value>>

/** A field in its first format, whose earlier values are kept. */
export const textField = <Value>(given: Given<Value>): FieldDefinition<Value> => ({
  format: 1,
  history: true,
  ...given,
})

/** A field in its first format that is a choice: its earlier values say nothing. */
export const choiceField = <Value>(given: Given<Value>): FieldDefinition<Value> => ({
  format: 1,
  history: false,
  ...given,
})
