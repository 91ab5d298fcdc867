import type { System } from '@fair-gable/core/base/quantity';
import type { Presenting } from '@fair-gable/core/show/cards';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useWording } from '../cards/wording.ts';

/** How the cards of a unit are worded for whoever presents here, today. @param system of the reader, where another */
export const usePresenting = (): ((record: UnitRecord, system?: System) => Presenting) => {
  const session = useSession();
  const wording = useWording();
  const clock = useClock();
  return (record, system = session.system) => ({
    system,
    today: clock.today,
    timeZone: clock.timeZone,
    operates: session.may('operate'),
    talk: wording.talkOf(record),
    pace: session.pace,
  });
};
