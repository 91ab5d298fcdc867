import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Role, System, YardPerson } from '@fair-gable/core';
import { announce } from '../database/index.ts';
import { Refusal } from '../problems/index.ts';
import type { Caller } from './access.ts';
import { Membership, PasswordLink, Person, Yard, YardChange } from './entities.ts';
import { makeLink } from './passwords.ts';

/** What a manager does to a yard and its people, each in the caller's transaction. */
interface Noted {
  readonly what: string;
  readonly subject: string;
  readonly from?: string;
  readonly to?: string;
}

const note = async (manager: EntityManager, caller: Caller, noted: Noted): Promise<void> => {
  const { yardId } = caller;
  await manager.insert(YardChange, {
    yardId,
    id: randomUUID(),
    from: null,
    to: null,
    ...noted,
    personId: caller.personId,
    by: caller.name,
    at: new Date(),
  });
  await announce(manager, { yard: yardId, kind: 'people', id: yardId });
};

/** The people of a yard, by name. */
export const peopleOf = (manager: EntityManager, yardId: string): Promise<readonly YardPerson[]> =>
  manager.query(
    `SELECT p.id, p.name, p.email, m.role, p.password_hash IS NOT NULL AS ready
     FROM membership m JOIN person p ON p.id = m.person_id
     WHERE m.yard_id = $1 ORDER BY p.name, p.id`,
    [yardId],
  );

interface Member {
  readonly person: Person;
  readonly role: Role;
}

/** Locks the yard, so that two managers cannot both take away the last one. */
const memberOf = async (
  manager: EntityManager,
  caller: Caller,
  personId: string,
): Promise<Member> => {
  await manager.findOne(Yard, {
    where: { id: caller.yardId },
    lock: { mode: 'pessimistic_write' },
  });
  const membership = await manager.findOneBy(Membership, { yardId: caller.yardId, personId });
  if (!membership) {
    throw new Refusal('not-found', 'There is no such person on this yard. Look at its list again.');
  }
  const person = await manager.findOneByOrFail(Person, { id: personId });
  return { person, role: membership.role };
};

const keepOneManager = async (
  manager: EntityManager,
  caller: Caller,
  member: Member,
): Promise<void> => {
  if (member.role !== 'manager') return;
  const managers = await manager.countBy(Membership, { yardId: caller.yardId, role: 'manager' });
  if (managers > 1) return;
  throw new Refusal(
    'last-manager',
    `${member.person.name} is the only manager of this yard. Make somebody else manager first.`,
  );
};

/**
 * Takes somebody onto the yard. Who has an account keeps it; who has none gets a one-time link.
 * @throws Refusal already-member
 */
export const addPerson = async (
  manager: EntityManager,
  caller: Caller,
  given: { readonly name: string; readonly email: string; readonly role: Role },
): Promise<{ id: string; link: { token: string; until: string } | null }> => {
  const { name, email, role } = given;
  const had = await manager.findOneBy(Person, { email });
  const id = had?.id ?? randomUUID();
  if (!had) await manager.insert(Person, { id, name, email, passwordHash: null, system: null });
  if (await manager.existsBy(Membership, { yardId: caller.yardId, personId: id })) {
    throw new Refusal('already-member', 'E-mail: this person is on this yard already.', {
      field: 'email',
    });
  }
  await manager.insert(Membership, { yardId: caller.yardId, personId: id, role });
  await note(manager, caller, { what: 'person-added', subject: had?.name ?? name, to: role });
  return { id, link: had?.passwordHash ? null : await makeLink(manager, id) };
};

/** @throws Refusal not-found, last-manager */
export const changeRole = async (
  manager: EntityManager,
  caller: Caller,
  personId: string,
  role: Role,
): Promise<void> => {
  const member = await memberOf(manager, caller, personId);
  if (member.role === role) return;
  await keepOneManager(manager, caller, member);
  await manager.update(Membership, { yardId: caller.yardId, personId }, { role });
  const subject = member.person.name;
  await note(manager, caller, { what: 'role', subject, from: member.role, to: role });
};

/** Takes somebody off the yard; their account elsewhere stays. @throws Refusal not-found, last-manager */
export const removePerson = async (
  manager: EntityManager,
  caller: Caller,
  personId: string,
): Promise<void> => {
  const member = await memberOf(manager, caller, personId);
  await keepOneManager(manager, caller, member);
  await manager.delete(Membership, { yardId: caller.yardId, personId });
  if (!(await manager.existsBy(Membership, { personId }))) {
    await manager.delete(PasswordLink, { personId });
  }
  await note(manager, caller, {
    what: 'person-removed',
    subject: member.person.name,
    from: member.role,
  });
};

/**
 * A one-time link for somebody who forgot their password. Not for people of other yards as well:
 * whoever holds the link would be let in there too.
 * @throws Refusal not-found, other-yards
 */
export const linkFor = async (
  manager: EntityManager,
  caller: Caller,
  personId: string,
): Promise<{ token: string; until: string }> => {
  const { person } = await memberOf(manager, caller, personId);
  if ((await manager.countBy(Membership, { personId })) > 1) {
    throw new Refusal(
      'other-yards',
      `${person.name} belongs to other yards too, so no single yard may set the password. Whoever runs the server can: npm run password-link -- ${person.email}`,
    );
  }
  await note(manager, caller, { what: 'password-link', subject: person.name });
  return makeLink(manager, personId);
};

const systemWords: Readonly<Record<System, string>> = { us: 'feet and pounds', metric: 'metric' };

/** Name and usual units of the yard. */
export const changeYard = async (
  manager: EntityManager,
  caller: Caller,
  given: { readonly name: string; readonly system: System },
): Promise<void> => {
  const before = await manager.findOneByOrFail(Yard, { id: caller.yardId });
  await manager.update(Yard, { id: caller.yardId }, { name: given.name, system: given.system });
  if (before.name !== given.name) {
    await note(manager, caller, {
      what: 'yard-name',
      subject: '',
      from: before.name,
      to: given.name,
    });
  }
  if (before.system !== given.system) {
    const [from, to] = [systemWords[before.system], systemWords[given.system]];
    await note(manager, caller, { what: 'yard-units', subject: '', from, to });
  }
};

/** What was changed about the yard and its people, latest first. */
export const yardHistory = (
  manager: EntityManager,
  yardId: string,
): Promise<readonly YardChange[]> =>
  manager.find(YardChange, { where: { yardId }, order: { at: 'DESC', id: 'ASC' }, take: 200 });
