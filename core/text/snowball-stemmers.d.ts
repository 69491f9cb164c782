declare module 'snowball-stemmers' {
  /** A stemmer of Snowball's algorithm of that name, such as `english`. */
  export function newStemmer(algorithm: string): { stem(word: string): string }
}
