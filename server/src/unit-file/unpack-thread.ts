import type { UnitFile } from '@fair-gable/core';
import { inThread } from '../threads/index.ts';
import { unpackUnit, type NamedPicture } from './unpack.ts';

/** Unpacks a unit's zip in a thread. */
export default inThread<Uint8Array, UnitFile, NamedPicture>(unpackUnit);
