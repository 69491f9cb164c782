/**
 * The version that every derived figure carries. It grows whenever a formula or a constant
 * changes so that stored figures made by an older one are worked out anew.
 */
export const MODEL_VERSION = 1
