import { amountOf, countedOf, hasFeature, type UnitRecord } from '../record/index.ts';
import {
  countsOf,
  explainDifference,
  explanationWords,
  labelRounding,
  possibleExplanations,
  type LabelExplanation,
} from '../cargo-label/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, pounds, withReason } from './ways.ts';

const possibleOf = (record: UnitRecord): readonly LabelExplanation[] => {
  const cylinders = countedOf(record, 'lpCylinders');
  const water = (amountOf(record, 'freshTank') ?? 0) + (amountOf(record, 'heaterTank') ?? 0);
  return possibleExplanations({
    propane: cylinders && cylinders.count * cylinders.each,
    hasBattery: record.features.battery ? hasFeature(record, 'battery') : undefined,
    water,
    counts: countsOf(record),
  });
};

/** The label is read again before anything on it is overwritten. */
const objection = (
  record: UnitRecord,
  given: { readonly gvwr: number; readonly uvw: number; readonly ccc: number },
  system: System,
): RuleFinding => {
  const left = given.gvwr - given.uvw;
  const difference = left - given.ccc;
  const show = (amount: number): string => pounds(amount, system);
  const sum = `GVWR minus UVW is ${show(left)} (${show(given.gvwr)} − ${show(given.uvw)}), but the label says ${show(given.ccc)}.`;
  const explained = explainDifference(possibleOf(record), difference);
  const words = explanationWords(explained, show);
  if (words) {
    const isSure = !words.startsWith('could be');
    const because = isSure
      ? `That’s ${show(difference)} apart: ${words}.`
      : `That’s ${show(difference)} apart. It ${words}.`;
    return {
      field: 'ccc',
      severity: 'look',
      title: 'CCC leaves something out',
      sentence: `${sum} ${because}`,
      ways: [
        ...(isSure ? [withReason('That’s why', because)] : [withReason()]),
        goTo('uvwCounts'),
        goTo('lpCylinders'),
        goTo('ccc'),
      ],
    };
  }
  const more = difference < 0 ? 'more' : 'less';
  return {
    field: 'ccc',
    severity: 'wrong',
    title: 'CCC doesn’t add up',
    sentence: `${sum} That’s ${show(Math.abs(difference))} ${more}, and propane, battery or water doesn’t explain it. Read all three labels again.`,
    ways: [
      goTo('ccc'),
      goTo('uvw'),
      ...(left > 0 ? [enter(record, 'ccc', { kind: 'quantity', amount: left }, system)] : []),
      withReason(),
    ],
  };
};

/** CCC against GVWR minus UVW. */
export const cccIdentity: Rule = {
  key: 'ccc-identity',
  about: 'CCC equals GVWR minus UVW, or something explains the difference',
  needs: ['gvwr', 'uvw', 'uvwCounts', 'ccc', 'lpCylinders', 'freshTank', 'heaterTank', 'battery'],
  doubts: ['gvwr', 'uvw', 'ccc'],
  source:
    'CCC = GVWR − UVW − LP where UVW excludes LP: common practice; water on old labels: from memory',
  test: (record, { system }) => {
    const gvwr = amountOf(record, 'gvwr');
    const uvw = amountOf(record, 'uvw');
    const ccc = amountOf(record, 'ccc');
    if (gvwr === undefined || uvw === undefined || ccc === undefined) return [];
    if (uvw >= gvwr || Math.abs(gvwr - uvw - ccc) <= labelRounding) return [];
    return [objection(record, { gvwr, uvw, ccc }, system)];
  },
};
