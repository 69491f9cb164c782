import { clock } from '../../captions/cue'
import { endScreenSchema, leadsTo, type EndScreen } from '../../release/endScreen'
import { choiceField } from '../field'

const percent = (part: number) => `${Math.round(100 * part)} %`
const lines = (value: EndScreen | null) =>
  value
    ? [
        `From ${clock(value.from)} to the end`,
        ...value.elements.map(
          element =>
            `${leadsTo(element)} – ${percent(element.width)} wide, ${percent(element.x)} from the left, ${percent(element.y)} from the top`,
        ),
      ].join('\n')
    : ''

/** What stands over the last seconds of the video and leads on; `null` for none. */
export const endScreen = choiceField<EndScreen | null>({
  label: 'End screen',
  schema: endScreenSchema.nullable(),
  copied: false,
  empty: null,
  shown: lines,
  exported: value => [{ heading: 'End screen', text: lines(value) }],
})
