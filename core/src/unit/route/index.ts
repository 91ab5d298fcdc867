export {
  legs,
  movedLeg,
  routeOf,
  routeSchema,
  routesOf,
  stationsOn,
  usualRoute,
  usualRoutes,
  type LegKey,
  type Route,
} from './route.ts';
