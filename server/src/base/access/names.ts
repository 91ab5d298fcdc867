import { In, type EntityManager } from 'typeorm';
import { Refusal } from '../problems/index.ts';
import { Membership, Person } from './entities.ts';
import { noteOnYard } from './yard-changes.ts';
import { isSameName } from '@fair-gable/core/base/words';

/** The addresses of the accounts behind some changes, by person; a name may be another’s by now. */
export const accountsBehind = async (
  manager: EntityManager,
  changes: readonly { readonly personId: string | null }[],
): Promise<ReadonlyMap<string | null, string>> => {
  const ids = new Set(changes.flatMap(({ personId }) => personId ?? []));
  const people = await manager.findBy(Person, { id: In([...ids]) });
  return new Map(people.map(({ id, email }) => [id, email]));
};

/** Two who take a name at once do so one after the other. */
const alone = (manager: EntityManager, yardId: string): Promise<unknown> =>
  manager.query('SELECT pg_advisory_xact_lock(hashtextextended($1, 4784))', [`names ${yardId}`]);

/** Somebody who is called something on a yard; an invitation has no account yet. */
interface Called {
  readonly id: string;
  readonly name: string;
  readonly email: string;
}

/** Whether nobody else of a yard is called so, or is invited under that name. */
export const isFreeOn = async (
  manager: EntityManager,
  yardId: string,
  name: string,
  own: Partial<Pick<Called, 'id' | 'email'>>,
): Promise<boolean> => {
  await alone(manager, yardId);
  const called: Called[] = await manager.query(
    `SELECT p.id, p.name, p.email FROM membership m JOIN person p ON p.id = m.person_id WHERE m.yard_id = $1
     UNION ALL SELECT id, name, email FROM invitation WHERE yard_id = $1`,
    [yardId],
  );
  return !called.some(
    ({ id, email, name: theirs }) =>
      id !== own.id && email !== own.email && isSameName(theirs, name),
  );
};

export const nameTaken = (name: string): Refusal =>
  new Refusal(
    'name-taken',
    `Name: someone in this yard already goes by ${name}. Add an initial or a nickname to tell the two apart; nothing was saved.`,
    { field: 'name' },
  );

/** Another name for oneself, told on every yard one belongs to. @throws Refusal name-taken */
export const rename = async (
  manager: EntityManager,
  person: { readonly personId: string; readonly name: string },
  to: string,
): Promise<void> => {
  const { personId, name: from } = person;
  if (from === to) return;
  const memberships = await manager.find(Membership, {
    where: { personId },
    order: { yardId: 'ASC' },
  });
  for (const { yardId } of memberships) {
    if (!(await isFreeOn(manager, yardId, to, { id: personId }))) throw nameTaken(to);
  }
  await manager.update(Person, { id: personId }, { name: to });
  for (const { yardId } of memberships) {
    await noteOnYard(
      manager,
      { yardId, personId, name: from },
      { what: 'name', subject: to, from, to },
    );
  }
};
