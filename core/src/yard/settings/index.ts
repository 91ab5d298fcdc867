export {
  glossarySchema,
  houseViewsSchema,
  routesSchema,
  systemSchema,
  timeZoneSchema,
  yardSettingsSchema,
  type HouseViews,
  type YardSettings,
} from './settings.ts';
export { settingsApi, type YardChange } from './api.ts';
