import 'reflect-metadata';
import { DataSource } from 'typeorm';
import {
  Invitation,
  KnownDevice,
  Membership,
  PasswordLink,
  Person,
  Secret,
  SessionRow,
  SignInTry,
  Yard,
  YardChange,
} from '../base/access/entities.ts';
import { PhotoPiece, PhotoRow } from '../unit/photo/entities.ts';
import { RecordChange, RecordField, RecordPartRow, Unit } from '../unit/record/entities.ts';
import { listParts } from '../unit/record/index.ts';
import { ModelSheetChange, ModelSheetOffer, ModelSheetRow } from '../unit/model-sheet/entities.ts';
import { VehicleRow } from '../numbers/vehicles/entities.ts';
import { BuyerRow, FollowUpRow, LetterRow } from '../yard/follow-up/entities.ts';
import { ScreenRow } from '../show/screen/entities.ts';
import { Walk, WalkEventRow } from '../show/walk/entities.ts';
import { AmericanNames1797120000000 } from './migrations/1797120000000-american-names.ts';
import { FittingStates1797206400000 } from './migrations/1797206400000-fitting-states.ts';
import { First1795564800000 } from './migrations/1795564800000-first.ts';
import { FirmGround1795651200000 } from './migrations/1795651200000-firm-ground.ts';
import { HouseViews1795737600000 } from './migrations/1795737600000-house-views.ts';
import { ModelSheets1795824000000 } from './migrations/1795824000000-model-sheets.ts';
import { Condition1795910400000 } from './migrations/1795910400000-condition.ts';
import { TrialsAndVehicles1795996800000 } from './migrations/1795996800000-trials-and-vehicles.ts';
import { WalkPlans1796083200000 } from './migrations/1796083200000-walk-plans.ts';
import { AfterTheWalk1796169600000 } from './migrations/1796169600000-after-the-walk.ts';
import { PaceAndWater1796256000000 } from './migrations/1796256000000-pace-and-water.ts';
import { Invitations1796428800000 } from './migrations/1796428800000-invitations.ts';
import { KnownDevices1796515200000 } from './migrations/1796515200000-known-devices.ts';
import { EventAuthors1796601600000 } from './migrations/1796601600000-event-authors.ts';
import { RecordParts1796774400000 } from './migrations/1796774400000-record-parts.ts';
import { UnitVerdict1796947200000 } from './migrations/1796947200000-unit-verdict.ts';
import { UnitSummary1797033600000 } from './migrations/1797033600000-unit-summary.ts';
import { YardTimeZone1796860800000 } from './migrations/1796860800000-yard-time-zone.ts';
import { SentOnce1796688000000 } from './migrations/1796688000000-sent-once.ts';
import { WalkClock1796342400000 } from './migrations/1796342400000-walk-clock.ts';

export const entities = [
  Yard,
  Person,
  Membership,
  Invitation,
  KnownDevice,
  SessionRow,
  Secret,
  PasswordLink,
  SignInTry,
  YardChange,
  Unit,
  RecordPartRow,
  RecordField,
  RecordChange,
  PhotoRow,
  PhotoPiece,
  ModelSheetRow,
  ModelSheetChange,
  ModelSheetOffer,
  VehicleRow,
  Walk,
  WalkEventRow,
  BuyerRow,
  FollowUpRow,
  LetterRow,
  ScreenRow,
];

const migrations = [
  First1795564800000,
  FirmGround1795651200000,
  HouseViews1795737600000,
  ModelSheets1795824000000,
  Condition1795910400000,
  TrialsAndVehicles1795996800000,
  WalkPlans1796083200000,
  AfterTheWalk1796169600000,
  PaceAndWater1796256000000,
  WalkClock1796342400000,
  Invitations1796428800000,
  KnownDevices1796515200000,
  EventAuthors1796601600000,
  SentOnce1796688000000,
  RecordParts1796774400000,
  YardTimeZone1796860800000,
  UnitVerdict1796947200000,
  UnitSummary1797033600000,
  AmericanNames1797120000000,
  FittingStates1797206400000,
];
const migrationsTable = 'migration';
/** Any number, the same in every process: only one of them migrates at a time. */
const migrationLock = 4780;

/** Nobody waits for ever for a connection, nor holds one without working. */
const poolSettings = {
  max: 20,
  connectionTimeoutMillis: 5000,
  idle_in_transaction_session_timeout: 30_000,
  statement_timeout: 60_000,
  // Somebody waits for a row that something long holds: they are told, and their device tries again.
  lock_timeout: 5000,
  // A database that does not even say that it is late.
  query_timeout: 70_000,
};

/** The names of the migrations this program knows, oldest first. */
export const knownMigrations: readonly string[] = migrations.map((m) => m.name);

/** A data source for a PostgreSQL address, not yet connected. */
export const dataSourceFor = (url: string): DataSource =>
  new DataSource({
    type: 'postgres',
    url,
    entities,
    migrations,
    migrationsTableName: migrationsTable,
    extra: poolSettings,
  });

/** The database was migrated by a newer program than this one. */
export class NewerDatabase extends Error {
  constructor(readonly migration: string) {
    super(
      `The database was set up by a newer version of this program (it knows “${migration}”). Start that version, or restore an older backup.`,
    );
  }
}

const newerMigration = async (source: DataSource): Promise<string | undefined> => {
  const [there] = await source.query('SELECT to_regclass($1) AS name', [migrationsTable]);
  if (!there?.name) return undefined;
  const applied: { name: string }[] = await source.query(`SELECT name FROM "${migrationsTable}"`);
  const ours = new Set(knownMigrations);
  return applied.find((row) => !ours.has(row.name))?.name;
};

/**
 * Connects, and brings the tables up to date.
 * @throws NewerDatabase when a migration has run that this program does not know
 */
export const openDatabase = async (url: string): Promise<DataSource> => {
  const source = await dataSourceFor(url).initialize();
  const runner = source.createQueryRunner();
  try {
    // Who starts beside another waits for it, however long its migrations take.
    await runner.query('SET lock_timeout = 0');
    await runner.query('SELECT pg_advisory_lock($1)', [migrationLock]);
    const newer = await newerMigration(source);
    if (newer) throw new NewerDatabase(newer);
    await source.runMigrations({ transaction: 'each' });
    await listParts(source.manager);
    await runner.query('SELECT pg_advisory_unlock($1)', [migrationLock]);
    await runner.query('RESET lock_timeout');
    return source;
  } catch (error) {
    await source.destroy();
    throw error;
  } finally {
    if (!runner.isReleased) await runner.release();
  }
};
