import { chromium } from '../../scripts/chromium.mjs'

/** Debian's Chromium, or the one named. */
export const CHROMIUM = chromium() ?? '/usr/bin/chromium'

/**
 * What the browser would load for itself: the lists under its own address bar are pages of their own, opened with every
 * window beside the page looked at, and took as much of the processor as half of ours. The rest is what Playwright
 * switches off too, since the last list given is the one that holds.
 */
const OFF = [
  'WebUIOmniboxPopup',
  'WebUIOmniboxAimPopup',
  'WebUIOmniboxFullPopup',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch',
]

export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  `--disable-features=${OFF.join(',')}`,
]

/**
 * A page of a test lives for seconds: what it costs to compile its code better is never won back, and with more room
 * for young objects few of them are gone through before it ends (an eighth less time for the whole).
 */
const JS_FLAGS = '--max-lazy --no-maglev --no-turbofan --min-semi-space-size=16 --max-semi-space-size=32'
export const TEST_ARGS = [...CHROMIUM_ARGS, `--js-flags=${JS_FLAGS}`]
