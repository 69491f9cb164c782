declare module 'stopword' {
  /** Stop words of each language, by its ISO 639-3 code. */
  export const dan: string[],
    deu: string[],
    eng: string[],
    fin: string[],
    fra: string[],
    hun: string[],
    ita: string[],
    nld: string[],
    nob: string[],
    por: string[],
    ron: string[],
    rus: string[],
    spa: string[],
    swe: string[],
    tur: string[]
}
