/** One of several, and how it is called. */
export interface Choice {
  readonly key: string;
  readonly label: string;
}
