/** Words for a field that nobody asked for; yup puts the names in. */
export const UNKNOWN_FIELD = 'Unknown field: ${unknown}'
