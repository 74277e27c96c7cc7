/** Of so many counts the view of a batch says that it has them. Free of schemas, so that the first view stays small. */
export const COUNTS_NAMED = 200
