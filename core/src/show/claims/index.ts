export { claimsIn, longestText, riskyIn, withClaimMended, type Claim } from './claims.ts';
export { claimRows, comparedRows, type ClaimRow, type ComparedRow } from './rows.ts';
export { lexicon } from './lexicon.ts';
export { aboutCard } from './about.ts';
export type { Evidence, Grade } from './judge.ts';
