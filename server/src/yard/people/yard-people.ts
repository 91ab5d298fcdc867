import type { Role } from '@fair-gable/core/base/rights';
import { percent } from '@fair-gable/core/base/words';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import { waterStyles, type YardWater } from '@fair-gable/core/numbers/water';
import { schoolEntry, schools, type SchoolKey } from '@fair-gable/core/unit/catalog';
import type { GlossaryRow } from '@fair-gable/core/unit/identity';
import { legs, routesOf, type Route } from '@fair-gable/core/unit/way-round';
import type { YardPerson, YardSettings } from '@fair-gable/core/yard/people';
import { announceEnd, type InYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Invitation, Membership, PasswordLink, Person, Yard } from '../../base/access/index.ts';
import { invite, inviteAgain, type Link } from './invitations.ts';
import { noteOnYard, type Noted } from '../../base/access/index.ts';
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

const systemWords: Readonly<Record<System, string>> = { us: 'feet and pounds', metric: 'metric' };

/** Name and usual units of the yard. */
const readingsOf = (glossary: readonly GlossaryRow[], code: string): string | null =>
  glossary.find((row) => row.code === code)?.readings.join(' or ') ?? null;

const gallons = (n: number): string => formatQuantity(n, 'volume', 'us');

/** A style's figures as a yard has set them; null where it goes by what is usual. */
const waterWords = (water: YardWater, key: keyof YardWater): string | null => {
  const rates = water[key];
  if (!rates) return null;
  const { gray, galleyShare, black, drunk } = rates;
  const share = `${percent(galleyShare, 0)} of it at the galley`;
  return `gray ${gallons(gray)}, ${share}; black ${gallons(black)}; drunk ${gallons(drunk)}`;
};

const legLabel = (key: string): string => legs.find((leg) => leg.key === key)?.label ?? key;

/** A route of the yard's own in words; null where it has none of this key. */
const routeWords = (routes: readonly Route[], key: string): string | null => {
  const route = routes.find((row) => row.key === key);
  if (!route) return null;
  const closed = route.endsClosed ? ', ends with the slide closed' : '';
  return `${route.legs.map(legLabel).join(' → ')}${closed}`.slice(0, 200);
};

/** What a change of the yard's settings comes to, one line for each thing changed. */
const changesOf = (before: Yard, after: Yard): readonly Noted[] => {
  const sideOf = (key: SchoolKey, side: string | undefined): string | null =>
    schoolEntry(key).sides.find((s) => s.key === side)?.label ?? null;
  const codes = [...new Set([...before.glossary, ...after.glossary].map((row) => row.code))];
  const routeKeys = [...new Set([...before.routes, ...after.routes].map(({ key }) => key))];
  const routeLabel = (key: string): string =>
    routesOf([...after.routes, ...before.routes]).find((route) => route.key === key)?.label ?? key;
  const all: readonly Noted[] = [
    { what: 'yard-name', subject: '', from: before.name, to: after.name },
    {
      what: 'yard-units',
      subject: '',
      from: systemWords[before.system],
      to: systemWords[after.system],
    },
    { what: 'time-zone', subject: '', from: before.timeZone, to: after.timeZone },
    {
      what: 'keep-buyers',
      subject: '',
      from: `${before.keepBuyers} days`,
      to: `${after.keepBuyers} days`,
    },
    ...waterStyles.map(({ key, label }) => ({
      what: 'water',
      subject: label,
      from: waterWords(before.water, key),
      to: waterWords(after.water, key),
    })),
    ...schools.map(({ key, about }) => ({
      what: 'house-view',
      subject: about,
      from: sideOf(key, before.houseViews[key]),
      to: sideOf(key, after.houseViews[key]),
    })),
    ...routeKeys.map((key) => ({
      what: 'route',
      subject: routeLabel(key),
      from: routeWords(before.routes, key),
      to: routeWords(after.routes, key),
    })),
    ...codes.map((code) => ({
      what: 'glossary',
      subject: code,
      from: readingsOf(before.glossary, code),
      to: readingsOf(after.glossary, code),
    })),
  ];
  return all.filter(({ from, to }) => from !== to);
};

export const changeYard = async (yard: WithinYard, given: YardSettings): Promise<void> => {
  const before = await yard.manager.findOneOrFail(Yard, {
    where: { id: yard.yardId },
    lock: { mode: 'pessimistic_write' },
  });
  const after = {
    ...before,
    name: given.name,
    system: given.system,
    timeZone: given.timeZone ?? before.timeZone,
    houseViews: given.houseViews ?? before.houseViews,
    routes: given.routes ?? before.routes,
    glossary: given.glossary ?? before.glossary,
    keepBuyers: given.keepBuyers ?? before.keepBuyers,
    water: given.water ?? before.water,
  };
  await yard.manager.save(Yard, after);
  for (const noted of changesOf(before, after)) await noteOnYard(yard, noted);
};
