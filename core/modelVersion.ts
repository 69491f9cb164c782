/**
 * The version that every derived figure carries. It grows whenever a formula or a constant
 * changes so that stored figures made by an older one are worked out anew.
 */
export const MODEL_VERSION = 8

/** The version since which the strengths of a page are worked out as they are now: an older page is asked for anew. */
export const STRENGTHS_SINCE = 3
