export {
  disclosureOf,
  type Disclosed,
  type Disclosure,
  type DisclosedWheel,
} from './disclosure.ts';
export type { Fault } from './fault.ts';
export { faultsOf } from './faults.ts';
export { buyersChecks } from './known-faults.ts';
