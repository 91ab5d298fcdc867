import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { vehiclesOf } from '@fair-gable/core/numbers/tow';
import type { Vehicle } from '@fair-gable/core/unit/record';
import { ask, NoNetwork, reasonOf } from '../../base/api/client.ts';
import { keep, kept } from '../../base/device/index.ts';
import { useLive } from '../../base/live/live.ts';

/** The yard's vehicles: its classes and its buyers' own; on the device for where there is no network. */
export const useVehicles = defineStore('vehicles', () => {
  const own = shallowRef<readonly Vehicle[]>([]);
  const loaded = ref(false);
  const problem = ref<string>();
  const all = computed(() => vehiclesOf(own.value));

  const load = async (): Promise<void> => {
    problem.value = undefined;
    try {
      const { vehicles } = await ask('GET /api/vehicles');
      own.value = vehicles;
      await keep('vehicles', vehicles).catch(() => undefined);
    } catch (error) {
      const had = error instanceof NoNetwork ? await kept('vehicles') : undefined;
      if (had) own.value = had;
      else if (!loaded.value) problem.value = reasonOf(error);
    }
    loaded.value = true;
  };

  /** Keeps a vehicle, in place of one of its key. @throws Refused, NoNetwork */
  const put = async (vehicle: Vehicle): Promise<void> => {
    await ask('PUT /api/vehicles/:key', { params: { key: vehicle.key }, body: vehicle });
    await load();
  };

  /** Takes a vehicle off; a class goes back to its usual figures. @throws Refused, NoNetwork */
  const drop = async (key: string): Promise<void> => {
    await ask('DELETE /api/vehicles/:key', { params: { key } });
    await load();
  };

  const isOwn = (key: string): boolean => own.value.some((vehicle) => vehicle.key === key);
  useLive().on('vehicles', () => void load());

  return { all, loaded, problem, load, put, drop, isOwn };
});
