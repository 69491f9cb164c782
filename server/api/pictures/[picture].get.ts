import { setResponseHeader } from 'h3'
import { createReadStream } from 'node:fs'
import { Problem } from '../../http/problem'
import { paramOf, route } from '../../http/route'
import { pictureProblem } from '../../release/thumbnails'

/** A kept picture. What its name stands for never changes, so that it is asked for once. */
export default route('GET /api/pictures/:picture', async (event, { pictures, pictureWork }, { query }) => {
  const name = paramOf(event, 'picture')
  const file = pictures.find(name)
  if (!file) throw new Problem(404, 'no-such-picture', 'This picture is not here.')
  const scaled = query.width
    ? Buffer.from(
        await pictureWork.scaled(file, Number(query.width)).catch((error: unknown) => {
          throw pictureProblem(error)
        }),
      )
    : null
  setResponseHeader(event, 'Content-Type', scaled ? 'image/webp' : `image/${name.split('.')[1]!}`)
  setResponseHeader(event, 'Cache-Control', 'private, max-age=31536000, immutable')
  return scaled ?? createReadStream(file)
})
