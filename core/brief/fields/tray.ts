import { z } from 'zod'
import { boundedText, textField } from '../field'

const phrase = boundedText('phrase', 200)

/** The phrases of a brief: lead, support in order, and those set aside. */
export const traySchema = z.object({
  lead: phrase.nullable(),
  support: z.array(phrase).max(500),
  setAside: z.array(phrase).max(5000),
})
export type Tray = z.infer<typeof traySchema>

export const tray = textField<Tray>({
  label: 'Tray',
  schema: traySchema,
  empty: { lead: null, support: [], setAside: [] },
  shown: ({ lead, support, setAside }) =>
    [
      `Lead: ${lead ?? 'none'}`,
      `Support: ${support.join(', ') || 'none'}`,
      `Set aside: ${setAside.join(', ') || 'none'}`,
    ].join('\n'),
  exported: ({ lead, support }) => [
    { heading: 'Lead phrase', text: lead ?? '' },
    { heading: 'Support phrases', text: support.join('\n') },
  ],
})
