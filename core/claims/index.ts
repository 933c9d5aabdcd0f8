export {
  CLAIM_QUANTITIES,
  CLAIM_QUANTITY_NAMES,
  type Claim,
  type ClaimKind,
  type ClaimQuantity,
  type ClaimQuantityInfo,
} from './claim'
export { settleClaim, type ClaimContext, type ClaimOutcome, type SettledClaim } from './settleClaim'
export { complaintRows, type ComplaintRows } from './complaintTopics'
