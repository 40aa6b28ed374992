/** Signs that no text of a database has: that of nothing, and halves of a sign. */
export const BROKEN_SIGN =
  /\0|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/;
