/** The same by POST may ask a live service. */
export { default } from './account.get'
