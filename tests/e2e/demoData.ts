import { makeDemoData } from '../../scripts/demoData.mjs'
import { HOME } from './startApp'

/** Makes the demo data all tests copy, unless it is there and newer than what makes it. */
export default function demoData() {
  makeDemoData(HOME)
}
