/** What a card can be about, and how that begins its id: walks that were planned keep ids, so these stay. */
const beginnings = {
  spec: 'specs',
  feature: 'features',
  trial: 'trials',
  /** What people found, or found meanwhile. */
  finding: 'findings',
  /** What a check knows to be wrong. */
  check: 'checks',
  /** What failed at the inspection. */
  inspection: 'inspection',
  /** A thing that was tried and does not work. */
  faulty: 'faulty',
  /** What people say of the model. */
  objection: 'objections',
  /** What the yard itself would change about the model. */
  change: 'changes',
  /** Somebody wrote it for this unit. */
  own: 'own',
  /** It follows from the plan, not from the record. */
  plan: 'route',
} as const;

export type AboutKind = keyof typeof beginnings;

/** What a card is about: the key of a spec or a feature, the id of a trial or a finding, … */
export interface About {
  readonly kind: AboutKind;
  readonly name: string;
}

const kinds = new Map<string, AboutKind>(
  Object.entries(beginnings).map(([kind, beginning]) => [beginning, kind as AboutKind]),
);

/** The id of a card. @example idAbout('spec', 'gvwr') // 'specs.gvwr' */
export const idAbout = (kind: AboutKind, name: string): string => `${beginnings[kind]}.${name}`;

/**
 * What a card is about, by its id; undefined for an id that no card has.
 * @example aboutOf('specs.gvwr') // { kind: 'spec', name: 'gvwr' }
 */
export const aboutOf = (id: string): About | undefined => {
  const dot = id.indexOf('.');
  const kind = kinds.get(id.slice(0, dot));
  return kind && dot > 0 ? { kind, name: id.slice(dot + 1) } : undefined;
};

/** Whether a card is about something of a kind. */
export const isAbout = (kind: AboutKind, { id }: { readonly id: string }): boolean =>
  aboutOf(id)?.kind === kind;
