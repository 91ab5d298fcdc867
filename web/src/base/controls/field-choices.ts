import { features, namesOf, specs, type Feature, type Spec } from '@fair-gable/core/unit/catalog';

/** One of a list that is searched: by its label, and by what else it is called. */
export interface NamedChoice<K> {
  readonly key: K;
  readonly label: string;
  readonly words: string;
}

const choiceOf = <E extends Spec | Feature>({ key, label }: E): NamedChoice<E['key']> => ({
  key,
  label,
  words: namesOf(key).join(', '),
});

/** In which of a choice's texts a search looks. */
export const searched = ['label', 'words'];
export const featureChoices = features.map(choiceOf);
export const specChoices = specs.map(choiceOf);
