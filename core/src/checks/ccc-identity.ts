import { amountOf, countedOf, hasFeature, type UnitRecord } from '../record/index.ts';
import { explainDifference, labelRounding, possibleExplanations } from '../cargo-label/index.ts';
import type { System } from '../quantity/index.ts';
import type { RuleFinding, Rule } from './types.ts';
import { enter, goTo, pounds, withReason } from './ways.ts';

const possibleOf = (record: UnitRecord): Parameters<typeof explainDifference>[0] => {
  const cylinders = countedOf(record, 'lpCylinders');
  const water = (amountOf(record, 'freshTank') ?? 0) + (amountOf(record, 'heaterTank') ?? 0);
  return possibleExplanations({
    propane: cylinders ? cylinders.count * cylinders.each : 0,
    hasBattery: hasFeature(record, 'battery'),
    water,
  });
};

const objection = (
  record: UnitRecord,
  given: { readonly gvwr: number; readonly uvw: number; readonly ccc: number },
  system: System,
): RuleFinding => {
  const left = given.gvwr - given.uvw;
  const difference = left - given.ccc;
  const sum = `${pounds(given.gvwr, system)} − ${pounds(given.uvw, system)} leaves ${pounds(left, system)}; the label says ${pounds(given.ccc, system)}.`;
  const explained = explainDifference(possibleOf(record), difference);
  if (explained) {
    const because = `The ${pounds(difference, system)} between are ${explained.words} (${pounds(explained.pounds, system)}).`;
    return {
      field: 'ccc',
      severity: 'look',
      title: 'Capacity counts more than the trailer',
      sentence: `${sum} ${because}`,
      ways: [withReason('That is why', because), goTo('ccc')],
    };
  }
  const more = difference < 0 ? 'more' : 'less';
  return {
    field: 'ccc',
    severity: 'wrong',
    title: 'Capacity does not follow from the weights',
    sentence: `${sum} That is ${pounds(Math.abs(difference), system)} ${more}, and neither propane, battery nor water explains it. Read the three labels again.`,
    ways: [
      ...(left > 0 ? [enter(record, 'ccc', { kind: 'quantity', amount: left }, system)] : []),
      goTo('uvw'),
      withReason(),
    ],
  };
};

/** Carrying capacity against rating minus weight as built. */
export const cccIdentity: Rule = {
  key: 'ccc-identity',
  about: 'Carrying capacity equals rating minus weight as built, or the difference has a name',
  needs: ['gvwr', 'uvw', 'ccc', 'lpCylinders', 'freshTank', 'heaterTank', 'battery'],
  source:
    'CCC = GVWR − UVW − LP where UVW excludes LP: common practice; water on old labels: from memory',
  test: (record, { system }) => {
    const gvwr = amountOf(record, 'gvwr');
    const uvw = amountOf(record, 'uvw');
    const ccc = amountOf(record, 'ccc');
    if (gvwr === undefined || uvw === undefined || ccc === undefined) return [];
    if (Math.abs(gvwr - uvw - ccc) <= labelRounding) return [];
    return [objection(record, { gvwr, uvw, ccc }, system)];
  },
};
