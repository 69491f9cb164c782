const LONGEST = 200
const UNNAMED = 'Picture'

/** What a picture is called: its file's name without folders and ending. */
export const pictureTitle = (name = '') =>
  name
    .split(/[/\\]/u)
    .at(-1)!
    .replace(/\.[a-z0-9]{1,5}$/iu, '')
    .trim()
    .slice(0, LONGEST)
    .trim() || UNNAMED
