export { KEYED_ABOVE_W, NO_SIGNS, keyedBy, sensesKey, type KeySigns, type KeyedBy } from './keyed'
export { isReadable, needsOf, rowObstacle, type RfSeen, type RowObstacle } from './needs'
