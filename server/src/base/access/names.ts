import { In, type EntityManager } from 'typeorm';
import { withinYard, type WithinYard } from '../database/index.ts';
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

/** Somebody who is called something on a yard; an invitation has no account yet. */
interface Called {
  readonly id: string;
  readonly name: string;
  readonly email: string;
}

/** Whether nobody else of a yard is called so, or is invited under that name. */
export const isFreeOn = async (
  yard: WithinYard,
  name: string,
  own: Partial<Pick<Called, 'id' | 'email'>>,
): Promise<boolean> => {
  // Two who take a name at once do so one after the other.
  await yard.alone('take a name');
  const called = await yard.query<Called>(
    `SELECT p.id, p.name, p.email FROM membership m JOIN person p ON p.id = m.person_id WHERE m.yard_id = $1
     UNION ALL SELECT id, name, email FROM invitation WHERE yard_id = $1`,
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
    const yard = withinYard(manager, yardId, { personId, name: from });
    if (!(await isFreeOn(yard, to, { id: personId }))) throw nameTaken(to);
  }
  await manager.update(Person, { id: personId }, { name: to });
  for (const { yardId } of memberships) {
    const yard = withinYard(manager, yardId, { personId, name: from });
    await noteOnYard(yard, { what: 'name', subject: to, from, to });
  }
};
