import type { Role } from '@fair-gable/core/base/rights';
import type { YardPerson } from '@fair-gable/core/yard/people';
import { announceEnd, type InYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Invitation, Membership, PasswordLink, Person, Yard } from '../../base/access/index.ts';
import { invite, inviteAgain, type Link } from './invitations.ts';
import { noteOnYard } from '../../base/access/index.ts';
import { makeLink } from './passwords.ts';

/** The people of a yard and whom it has invited, by name. */
export const peopleOf = (yard: InYard): Promise<readonly YardPerson[]> =>
  yard.query(
    `SELECT p.id, p.name, p.email, m.role, true AS ready
     FROM membership m JOIN person p ON p.id = m.person_id WHERE m.yard_id = $1
     UNION ALL SELECT id, name, email, role, false FROM invitation WHERE yard_id = $1
     ORDER BY name, id`,
  );

/** Somebody who is invited, and has not accepted yet. */
const invitedOf = (yard: WithinYard, id: string): Promise<Invitation | null> =>
  yard.lockOne(Invitation, { id });

interface Member {
  readonly person: Person;
  readonly role: Role;
}

/** Locks the yard, so that two managers cannot both take away the last one. */
const memberOf = async (yard: WithinYard, personId: string): Promise<Member> => {
  await yard.manager.findOne(Yard, {
    where: { id: yard.yardId },
    lock: { mode: 'pessimistic_write' },
  });
  const membership = await yard.findOne(Membership, { personId });
  if (!membership) {
    throw new Refusal('not-found', 'There is no such person on this yard. Look at its list again.');
  }
  const person = await yard.manager.findOneByOrFail(Person, { id: personId });
  return { person, role: membership.role };
};

const keepOneManager = async (yard: WithinYard, member: Member): Promise<void> => {
  if (member.role !== 'manager') return;
  const managers = await yard.find(Membership, { role: 'manager' });
  if (managers.length > 1) return;
  throw new Refusal(
    'last-manager',
    `${member.person.name} is the only manager of this yard. Make somebody else manager first.`,
  );
};

/**
 * Invites somebody onto the yard. The answer is the same whether the address has an account or not.
 * @throws Refusal already-member, name-taken
 */
export const addPerson = async (
  yard: WithinYard,
  given: { readonly name: string; readonly email: string; readonly role: Role },
): Promise<{ id: string; link: Link }> => {
  const { name, email, role } = given;
  const people = await peopleOf(yard);
  if (people.some((person) => person.ready && person.email === email)) {
    throw new Refusal('already-member', 'E-mail: this person is on this yard already.', {
      field: 'email',
    });
  }
  const invited = await invite(yard, given);
  await noteOnYard(yard, { what: 'person-invited', subject: name, to: role });
  return invited;
};

/** @throws Refusal not-found, last-manager */
export const changeRole = async (yard: WithinYard, personId: string, role: Role): Promise<void> => {
  const invited = await invitedOf(yard, personId);
  if (invited) {
    await yard.update(Invitation, { id: personId }, { role });
    const { name: subject, role: from } = invited;
    return noteOnYard(yard, { what: 'role', subject, from, to: role });
  }
  const member = await memberOf(yard, personId);
  if (member.role === role) return;
  await keepOneManager(yard, member);
  await yard.update(Membership, { personId }, { role });
  const subject = member.person.name;
  await noteOnYard(yard, { what: 'role', subject, from: member.role, to: role });
};

/** Takes somebody off the yard, or an invitation back; their account stays. @throws Refusal not-found, last-manager */
export const removePerson = async (yard: WithinYard, personId: string): Promise<void> => {
  const invited = await invitedOf(yard, personId);
  if (invited) {
    await yard.remove(Invitation, { id: personId });
    const { name: subject, role: from } = invited;
    return noteOnYard(yard, { what: 'person-removed', subject, from });
  }
  const member = await memberOf(yard, personId);
  await keepOneManager(yard, member);
  await yard.remove(Membership, { personId });
  await announceEnd(yard.manager);
  if (!(await yard.manager.existsBy(Membership, { personId }))) {
    await yard.manager.delete(PasswordLink, { personId });
  }
  await noteOnYard(yard, {
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
export const linkFor = async (yard: WithinYard, personId: string): Promise<Link> => {
  const invited = await invitedOf(yard, personId);
  if (invited) return inviteAgain(yard, invited);
  const { person } = await memberOf(yard, personId);
  if ((await yard.manager.countBy(Membership, { personId })) > 1) {
    throw new Refusal(
      'other-yards',
      `The password of ${person.name} is not this yard’s to set. Whoever runs the server can: npm run password-link -- ${person.email}`,
    );
  }
  await noteOnYard(yard, { what: 'password-link', subject: person.name });
  return makeLink(yard.manager, personId);
};
