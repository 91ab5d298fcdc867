export {
  contract,
  shaped,
  type AnswerOf,
  type GivenTo,
  type Method,
  type RouteName,
  type RouteShape,
  type DeepReadonly,
} from './contract.ts';
