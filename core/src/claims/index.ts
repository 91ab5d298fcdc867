export { claimsIn, riskyIn, type Claim } from './claims.ts';
export { claimRows, comparedRows, type ClaimRow, type ComparedRow } from './rows.ts';
export type { Evidence, Grade } from './judge.ts';
