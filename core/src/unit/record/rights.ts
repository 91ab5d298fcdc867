import { may, type Right, type Role } from '../../base/rights/index.ts';
import type { Change } from './change.ts';
import { partRow } from './parts/index.ts';
import type { UnitRecord } from './schema.ts';

/** The right it takes to change a field of a record. */
export const rightToChange = ({ part, key }: Pick<Change, 'part' | 'key'>): Right => {
  const { right = 'record' } = partRow(part);
  return typeof right === 'function' ? right(key) : right;
};

const isBySignature = ({ part, key }: Pick<Change, 'part' | 'key'>): boolean =>
  part === 'specs' && rightToChange({ part, key }) === 'inspect';

/** A change of what follows from the signature of the inspection, made without signing. */
export const unsignedChange = (changes: readonly Change[]): Change | undefined =>
  changes.some(({ part, key }) => part === 'signatures' && key === 'inspection')
    ? undefined
    : changes.find(isBySignature);

/**
 * A record from elsewhere as somebody may bring it in. Nobody signs by a file: it comes in unsigned. What was tried comes in by a
 * technician alone, for them to sign.
 */
export const broughtInBy = (role: Role, record: UnitRecord): UnitRecord => ({
  ...record,
  inspection: may(role, 'inspect') ? record.inspection : {},
  signatures: {},
  specs: Object.fromEntries(
    Object.entries(record.specs).filter(([key]) => !isBySignature({ part: 'specs', key })),
  ),
});
