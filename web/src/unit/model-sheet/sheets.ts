import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  inheritedBy,
  type KeptSheet,
  type ModelSheet,
  type Offer,
  type SheetValues,
  type Touched,
} from '@fair-gable/core/unit/model-sheet';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { ask, NoNetwork, reasonOf } from '../../base/api/client.ts';
import { keep, kept } from '../../base/device/index.ts';
import { useLive } from '../../base/live/live.ts';

/** What a unit has by its sheet. */
export interface Inherited {
  readonly sheet: ModelSheet;
  readonly values: SheetValues;
}

/** A sheet may touch hundreds of units, ms. */
const patient = { within: 180_000 } as const;

/** The yard's model sheets; on the device for where there is no network. */
export const useSheets = defineStore('sheets', () => {
  const all = shallowRef<readonly KeptSheet[]>([]);
  const loaded = ref(false);
  const problem = ref<string>();
  const plain = computed(() => all.value.map(({ sheet }) => sheet));

  const take = async (sheets: readonly KeptSheet[]): Promise<void> => {
    all.value = sheets;
    await keep('sheets', sheets).catch(() => undefined);
  };

  const load = async (): Promise<void> => {
    problem.value = undefined;
    try {
      const { sheets } = await ask('GET /api/model-sheets');
      await take(sheets);
    } catch (error) {
      const had = error instanceof NoNetwork ? await kept('sheets') : undefined;
      if (had) all.value = had;
      else if (!loaded.value) problem.value = reasonOf(error);
    }
    loaded.value = true;
  };

  /** Which units a sheet would touch, were it kept so. @throws Refused, NoNetwork */
  const preview = async (sheet: ModelSheet): Promise<readonly Touched[]> => {
    const given = { params: { id: sheet.id }, body: { sheet } };
    return (await ask('POST /api/model-sheets/:id/preview', given, patient)).units;
  };

  /** Keeps a sheet, and lets units follow it. @throws Refused, NoNetwork */
  const put = async (
    sheet: ModelSheet,
    basedOn: number,
    units: readonly string[],
  ): Promise<void> => {
    const given = { params: { id: sheet.id }, body: { sheet, basedOn, units } };
    const { sheets } = await ask('PUT /api/model-sheets/:id', given, patient);
    await take(sheets);
  };

  /** Takes a sheet away. @throws Refused, NoNetwork */
  const drop = async (id: string): Promise<void> => {
    await ask('DELETE /api/model-sheets/:id', { params: { id } });
    await load();
  };

  /** Puts something found on a unit before whoever keeps the sheet. @throws Refused, NoNetwork */
  const offer = async (id: string, found: Omit<Offer, 'by' | 'at' | 'id'>): Promise<void> => {
    await ask('POST /api/model-sheets/:id/offers', {
      params: { id },
      body: { ...found, id: crypto.randomUUID() },
    });
    await load();
  };

  /** Takes an offer off the list. @throws Refused, NoNetwork */
  const dropOffer = async (id: string, of: string): Promise<void> => {
    await ask('DELETE /api/model-sheets/:id/offers/:offer', { params: { id, offer: of } });
    await load();
  };

  const inherited = (record: UnitRecord): Inherited | undefined => inheritedBy(record, plain.value);
  const doing = { load, preview, put, drop, offer, dropOffer };
  const live = useLive();
  for (const kind of ['sheets', 'catch-up'] as const) live.on(kind, () => void load());

  return { all, plain, loaded, problem, inherited, ...doing };
});

/** A sheet’s name: series, floor plan and year. */
export const sheetName = ({ series, floorPlan, year }: ModelSheet): string =>
  `${series} ${floorPlan || 'series'} ${year}`;
