/** The same by POST may ask a live service. */
export { default } from './views.get'
