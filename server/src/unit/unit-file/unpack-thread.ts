import type { UnitFile } from '@fair-gable/core/unit/unit-file';
import { inThread } from '../../base/threads/index.ts';
import { unpackUnit, type NamedPicture } from './unpack.ts';

/** Unpacks a unit's zip in a thread. */
export default inThread<Uint8Array, UnitFile, NamedPicture>(unpackUnit);
