import { bicycle } from './bicycle'
import { cars } from './cars'
import { jewellery } from './jewellery'
import { kitchen } from './kitchen'
import { music } from './music'
import { riding } from './riding'
import { speaking } from './speaking'
import type { Trade } from './trade'

/**
 * Every trade that speaks English, the demo's own first. The others share words with it, so that ambiguous words are
 * ambiguous.
 */
export const TRADES: readonly Trade[] = [bicycle, jewellery, riding, kitchen, music, cars, speaking]

/** The trade that speaks German, and its part of all phrases, channels and videos. */
export const GERMAN = { id: 'fahrrad', share: 0.04 }
