import type { vehiclesApi } from '@fair-gable/core/numbers/tow';
import type { screenApi } from '@fair-gable/core/show/screen';
import type { walkApi } from '@fair-gable/core/show/walk';
import type { modelSheetApi } from '@fair-gable/core/unit/model-sheet';
import type { photoApi } from '@fair-gable/core/unit/photo';
import type { recordApi } from '@fair-gable/core/unit/record';
import type { stockListApi } from '@fair-gable/core/unit/stock-list';
import type { unitFileApi } from '@fair-gable/core/unit/unit-file';
import type { followUpApi } from '@fair-gable/core/yard/follow-up';
import type { peopleApi } from '@fair-gable/core/yard/people';
import type { settingsApi } from '@fair-gable/core/yard/settings';
import type { summaryApi } from '@fair-gable/core/yard/summary';

/** Every route the browser asks, as the core has it; types alone, nothing of it is loaded. */
export type Routes = typeof followUpApi &
  typeof modelSheetApi &
  typeof peopleApi &
  typeof settingsApi &
  typeof photoApi &
  typeof recordApi &
  typeof screenApi &
  typeof stockListApi &
  typeof summaryApi &
  typeof unitFileApi &
  typeof vehiclesApi &
  typeof walkApi;
