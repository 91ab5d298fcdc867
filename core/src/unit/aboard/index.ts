export {
  changesToFit,
  fittedHere,
  fittedPounds,
  leftToLabel,
  looseItems,
  type FittedLine,
  type LooseItem,
} from './aboard.ts';
