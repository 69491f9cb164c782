import { z } from 'zod'
import { MAX_PHRASE } from './words'

/** A phrase as it arrives: some words, no longer than a search box takes. */
export const phraseInput = z
  .string({ error: 'Give a phrase as text.' })
  .max(MAX_PHRASE, `A phrase can be ${MAX_PHRASE} characters at most. Shorten it.`)
  .refine(text => /[\p{L}\p{N}]/u.test(text), 'Type at least one word.')

/** Whether a code has a form that `Intl` takes: `zz-ZZ` has, `zz-ZZ-zz` with two regions has not. */
function isLocale(code: string): boolean {
  try {
    return Intl.getCanonicalLocales(code).length > 0
  } catch {
    return false
  }
}

/** BCP 47, as far as we need it. */
export const languageInput = z
  .string()
  .max(20)
  .refine(
    code => /^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/u.test(code) && isLocale(code),
    'Give a language as its code, such as en or en-GB.',
  )

const CODES =
  'AD AE AF AG AI AL AM AO AQ AR AS AT AU AW AX AZ BA BB BD BE BF BG BH BI BJ BL BM BN BO BQ BR BS BT BV BW BY BZ CA CC CD CF CG CH CI CK CL CM CN CO CR CU CV CW CX CY CZ DE DJ DK DM DO DZ EC EE EG EH ER ES ET FI FJ FK FM FO FR GA GB GD GE GF GG GH GI GL GM GN GP GQ GR GS GT GU GW GY HK HM HN HR HT HU ID IE IL IM IN IO IQ IR IS IT JE JM JO JP KE KG KH KI KM KN KP KR KW KY KZ LA LB LC LI LK LR LS LT LU LV LY MA MC MD ME MF MG MH MK ML MM MN MO MP MQ MR MS MT MU MV MW MX MY MZ NA NC NE NF NG NI NL NO NP NR NU NZ OM PA PE PF PG PH PK PL PM PN PR PS PT PW PY QA RE RO RS RU RW SA SB SC SD SE SG SH SI SJ SK SL SM SN SO SR SS ST SV SX SY SZ TC TD TF TG TH TJ TK TL TM TN TO TR TT TV TW TZ UA UG UM US UY UZ VA VC VE VG VI VN VU WF WS YE YT ZA ZM ZW'
const REGIONS = new Set(CODES.split(' '))

const noRegion = (value: string) =>
  `“${value.slice(0, 20)}” is not a known region. Use a two-letter country code such as GB, or leave it empty for everywhere.`

/** ISO 3166 alpha-2 in capitals. */
export const regionCode = z
  .string()
  .refine(code => REGIONS.has(code), { error: issue => noRegion(String(issue.input)) })

/** ISO 3166 alpha-2; empty, `everywhere` or absent is everywhere and becomes `null`. */
export const regionInput = z
  .string()
  .nullish()
  .transform((value, context) => {
    if (!value || value.toLowerCase() === 'everywhere') return null
    const code = value.toUpperCase()
    if (REGIONS.has(code)) return code
    context.addIssue({ code: 'custom', message: noRegion(value) })
    return z.NEVER
  })
