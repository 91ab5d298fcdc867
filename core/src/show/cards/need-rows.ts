/** What must be done before some cards can be given; done once, however many cards use it. */
export interface NeedRow {
  readonly key: string;
  /** As a reason: “because …”. */
  readonly label: string;
  /** Where it is not ready, how long it takes while the buyer waits. */
  readonly seconds: number;
  /** Where it was made ready before. */
  readonly ready: number;
}

export const needRows = [
  { key: 'inside', label: 'going in', seconds: 30, ready: 30 },
  { key: 'slide', label: 'running the slide out', seconds: 60, ready: 0 },
  { key: 'awning', label: 'running the awning out', seconds: 60, ready: 0 },
  { key: 'power', label: 'plugging it in', seconds: 90, ready: 0 },
] as const satisfies readonly NeedRow[];
export type NeedKey = (typeof needRows)[number]['key'];
export const needKeys = needRows.map(({ key }) => key) as [NeedKey, ...NeedKey[]];
