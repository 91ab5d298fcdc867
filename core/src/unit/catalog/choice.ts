/** One of several, and how it is called. */
export interface Choice {
  readonly key: string;
  readonly label: string;
  /** As it stands in a sentence, where its label does not fit into one. */
  readonly said?: string;
}
