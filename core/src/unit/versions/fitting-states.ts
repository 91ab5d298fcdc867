import {
  featureEntry,
  featureStates,
  isFeatureKey,
  isFitted,
  statesOf,
  type FeatureKey,
  type FeatureState,
} from '../catalog/index.ts';

/**
 * The state of a feature as its kind has it. Up to version 9 of the unit file and version 2 of the model sheet every
 * feature could have every state of something fitted: a label could be an option, and keys be prepared for.
 * @example fittingState('vinLabel', 'prep') // 'none'
 */
export const fittingState = (key: FeatureKey, state: FeatureState): FeatureState => {
  if (statesOf(featureEntry(key).kind).some((choice) => choice.key === state)) return state;
  return isFitted(state) ? 'standard' : 'none';
};

const isFeatureState = (text: string): text is FeatureState =>
  featureStates.some(({ key }) => key === text);

type Json = Readonly<Record<string, unknown>>;
const isObject = (json: unknown): json is Json =>
  json !== null && typeof json === 'object' && !Array.isArray(json);

/** What is no state at all stays, to be refused by whoever checks it. */
const fittingText = (key: FeatureKey, text: string): string =>
  isFeatureState(text) ? fittingState(key, text) : text;

/** Of one feature: its state alone, or a value with one in it, wherever that stands. */
const fittingIn = (key: FeatureKey, json: unknown): unknown => {
  if (typeof json === 'string') return fittingText(key, json);
  if (Array.isArray(json)) return json.map((one: unknown) => fittingIn(key, one));
  if (!isObject(json)) return json;
  const { state, value, others } = json;
  return {
    ...json,
    ...(typeof state === 'string' ? { state: fittingText(key, state) } : {}),
    ...(isObject(value) ? { value: fittingIn(key, value) } : {}),
    ...(Array.isArray(others) ? { others: fittingIn(key, others) } : {}),
  };
};

const featuresFitting = (features: Json): Json =>
  Object.fromEntries(
    Object.entries(features).map(([key, one]) => [
      key,
      isFeatureKey(key) ? fittingIn(key, one) : one,
    ]),
  );

/** A change, an answer or an offer names its feature beside what it says of it. */
const saidFitting = (json: Json): Json => {
  const { part, key, feature } = json;
  if (part !== 'features' || typeof key !== 'string' || !isFeatureKey(key)) return json;
  const said = fittingIn(key, json) as Json;
  return typeof feature === 'string' ? { ...said, feature: fittingText(key, feature) } : said;
};

/** Anything that JSON can say, with every feature in a state that its kind has. */
export const withFittingStates = (json: unknown): unknown => {
  if (Array.isArray(json)) return json.map(withFittingStates);
  if (!isObject(json)) return json;
  const inner = Object.entries(saidFitting(json)).map(([key, value]) => [
    key,
    key === 'features' && isObject(value) ? featuresFitting(value) : withFittingStates(value),
  ]);
  return Object.fromEntries(inner) as Json;
};
