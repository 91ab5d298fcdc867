import { format } from 'date-fns';
import type { System } from '@fair-gable/core/base/quantity';
import type { Presenting } from '@fair-gable/core/show/cards';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { useSession } from '../../base/session/session.ts';
import { useWording } from '../cards/wording.ts';

/** How the cards of a unit are worded for whoever presents here, today. @param system of the reader, where another */
export const usePresenting = (): ((record: UnitRecord, system?: System) => Presenting) => {
  const session = useSession();
  const wording = useWording();
  return (record, system = session.system) => ({
    system,
    today: format(new Date(), 'yyyy-MM-dd'),
    operates: session.may('operate'),
    talk: wording.talkOf(record),
    pace: session.pace,
  });
};
