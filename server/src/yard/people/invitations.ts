import { randomBytes, randomUUID } from 'node:crypto';
import { MoreThan, type EntityManager } from 'typeorm';
import type { Role } from '@fair-gable/core/base/rights';
import type { LinkFor } from '@fair-gable/core/yard/people';
import { withinYard, type WithinYard } from '../../base/database/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { Invitation, Membership, PasswordLink, Person, Yard } from '../../base/access/index.ts';
import { digest, hashNew } from './hashes.ts';
import { isFreeOn, nameTaken, rename } from '../../base/access/index.ts';
import { isRight, type Try } from './sign-in.ts';
import { noteOnYard } from '../../base/access/index.ts';

export interface Link {
  readonly token: string;
  readonly until: string;
}

/** For how long a one-time link holds. */
export const linkDays = 3;
const until = (): Date => new Date(Date.now() + linkDays * 86_400_000);
const freshToken = (): string => randomBytes(18).toString('base64url');

/**
 * Invites an address to a yard. Whether it has an account makes no difference: the yard learns nothing of that.
 * @throws Refusal already-member where it is invited already, name-taken
 */
export const invite = async (
  yard: WithinYard,
  given: { readonly name: string; readonly email: string; readonly role: Role },
): Promise<{ id: string; link: Link }> => {
  const { name, email, role } = given;
  if (await yard.findOne(Invitation, { email })) {
    throw new Refusal(
      'already-member',
      'E-mail: this address is invited already. Make it a new link in the list.',
      { field: 'email' },
    );
  }
  if (!(await isFreeOn(yard, name, { email }))) throw nameTaken(name);
  const [id, token, expiresAt] = [randomUUID(), freshToken(), until()];
  const tokenHash = digest(token);
  const row = { yardId: yard.yardId, id, name, email, role, tokenHash, expiresAt };
  await yard.manager.insert(Invitation, row);
  return { id, link: { token, until: expiresAt.toISOString() } };
};

/** A new link for an invitation; the one before stops working. */
export const inviteAgain = async (
  yard: WithinYard,
  { id }: Pick<Invitation, 'id'>,
): Promise<Link> => {
  const [token, expiresAt] = [freshToken(), until()];
  await yard.update(Invitation, { id }, { tokenHash: digest(token), expiresAt });
  return { token, until: expiresAt.toISOString() };
};

export const wrongLink = (): Refusal =>
  new Refusal(
    'wrong-link',
    'This link was used, or is older than three days. Ask a manager of your yard for another.',
  );

/** The invitation of a link, locked: of two who use it at once one comes too late. */
const invitationOf = (manager: EntityManager, token: string): Promise<Invitation | null> =>
  manager.findOne(Invitation, {
    where: { tokenHash: digest(token), expiresAt: MoreThan(new Date()) },
    lock: { mode: 'pessimistic_write' },
  });

/** What a link is for. @throws Refusal wrong-link */
export const lookAtLink = (manager: EntityManager, token: string): Promise<LinkFor> =>
  manager.transaction(async (inner) => {
    const invitation = await invitationOf(inner, token);
    if (invitation) {
      const { name } = await inner.findOneByOrFail(Yard, { id: invitation.yardId });
      return { kind: 'invitation', yard: name, role: invitation.role };
    }
    const isLink = await inner.existsBy(PasswordLink, {
      tokenHash: digest(token),
      expiresAt: MoreThan(new Date()),
    });
    if (!isLink) throw wrongLink();
    return { kind: 'password' };
  });

/**
 * Under which name somebody comes onto a yard: their own, or where somebody has that there, the one they were invited by,
 * if it can be given to them without a word of theirs.
 * @throws Refusal name-taken where they belong to other yards too
 */
const nameOnYard = async (
  manager: EntityManager,
  { yardId, id, name: invitedAs, email }: Invitation,
  { personId, name }: { readonly personId: string; readonly name: string },
): Promise<string> => {
  const yard = withinYard(manager, yardId, { personId, name });
  if (await isFreeOn(yard, name, { id, email })) return name;
  const isElsewhere = await manager.existsBy(Membership, { personId });
  const isFree = !isElsewhere && (await isFreeOn(yard, invitedAs, { id, email }));
  if (!isFree) throw nameTaken(name);
  await rename(manager, { personId, name }, invitedAs);
  return invitedAs;
};

/** Takes the person of an invitation onto its yard. What they had of links dies: it would let its holder in here too. */
const join = async (
  manager: EntityManager,
  invitation: Invitation,
  person: { readonly personId: string; readonly name: string },
): Promise<void> => {
  const { yardId, id, role } = invitation;
  const { personId } = person;
  const name = await nameOnYard(manager, invitation, person);
  await manager.upsert(Membership, { yardId, personId, role, usedAt: new Date() }, [
    'yardId',
    'personId',
  ]);
  await manager.delete(Invitation, { yardId, id });
  await manager.delete(PasswordLink, { personId });
  const noted = { what: 'person-added', subject: name, to: role };
  await noteOnYard(withinYard(manager, yardId, { personId, name }), noted);
};

/**
 * Accepts an invitation with one's own account: one is signed in, and holds the link.
 * @returns the yard one belongs to now
 * @throws Refusal wrong-link, not-your-invitation, name-taken
 */
export const accept = async (
  manager: EntityManager,
  person: { readonly personId: string; readonly name: string; readonly email: string },
  token: string,
): Promise<string> => {
  const invitation = await invitationOf(manager, token);
  if (!invitation) throw wrongLink();
  if (invitation.email !== person.email) {
    throw new Refusal(
      'not-your-invitation',
      `This invitation is for another address than ${person.email}. Sign in with that one, or ask for an invitation of your own.`,
    );
  }
  await join(manager, invitation, person);
  return invitation.yardId;
};

/**
 * Accepts an invitation by a password: that of the account its address has, or of a new one. Somebody who belongs to no yard
 * at present cannot sign in first.
 * @returns whether the link was one of an invitation
 * @throws Refusal sign-in-first where the address has an account of another password, too-many, name-taken
 */
export const acceptBy = async (
  manager: EntityManager,
  token: string,
  password: string,
  from: Omit<Try, 'email' | 'password'>,
): Promise<boolean> => {
  const invitation = await invitationOf(manager, token);
  if (!invitation) return false;
  const { email, name } = invitation;
  const had = await manager.findOneBy(Person, { email });
  if (had) {
    if (await isRight(manager.connection, had, { ...from, email, password })) {
      await join(manager, invitation, { personId: had.id, name: had.name });
      return true;
    }
    throw new Refusal(
      'sign-in-first',
      'There is an account of this address. Give its own password, or sign in with it and open this link again.',
    );
  }
  const personId = randomUUID();
  const passwordHash = await hashNew(password);
  await manager.insert(Person, { id: personId, email, name, passwordHash, system: null });
  await join(manager, invitation, { personId, name });
  return true;
};
