import { formatName } from '../../thumbnail/mend'
import { pictureSchema, type Picture } from '../../thumbnail/picture'
import { choiceField } from '../field'

/** The picture the video is released with, one of those kept with the brief; `null` until one is chosen. */
export const thumbnail = choiceField<Picture | null>({
  label: 'Thumbnail',
  schema: pictureSchema.nullable(),
  copied: false,
  empty: null,
  shown: value =>
    value ? `${value.width}×${value.height} ${formatName(value.format)}, ${value.hash.slice(0, 8)}` : '',
})
