/**
 * Pounds that a yard may add before the first sale without a new label: the lesser of 100 lb and 1.5 % of the gross
 * rating. 49 CFR 571.110 S10 up to 10,000 lb and 571.120 S10 above, from memory; the rule in force decides.
 */
export const labelLine = (gross: number): number => Math.min(100, gross * 0.015);

/** How far what was fitted is from the line; negative is past it. Pounds. */
export const leftToLabel = (gross: number, fitted: number): number => labelLine(gross) - fitted;
