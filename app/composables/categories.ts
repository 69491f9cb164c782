/** Categories most video sites have in some form; another one can be written. */
export const CATEGORIES = [
  'How-to and repair',
  'Education',
  'Science and technology',
  'Sport',
  'Travel',
  'Vehicles',
  'Food',
  'Animals',
  'Music',
  'Film',
  'Games',
  'Comedy',
  'News',
  'People',
  'Good causes',
]
