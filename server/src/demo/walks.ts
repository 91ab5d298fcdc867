import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { daysAfter } from '@fair-gable/core/base/dates';
import { modelTalk, pointsOf, type Point } from '@fair-gable/core/show/cards';
import { planCards, questionsShare } from '@fair-gable/core/show/plan';
import {
  marks,
  nextEvent,
  type WalkEvent,
  type WalkPlan,
  type What,
} from '@fair-gable/core/show/walk';
import { audiences, type Audience } from '@fair-gable/core/unit/catalog';
import type { ModelSheet } from '@fair-gable/core/unit/model-sheet';
import { textOf } from '@fair-gable/core/unit/record';
import type { UnitFile } from '@fair-gable/core/unit/unit-file';
import { routesOf, usualRoute } from '@fair-gable/core/unit/route';
import { followUpKinds } from '@fair-gable/core/yard/follow-up';
import { clockOf } from '../base/access/index.ts';
import { withinYard, type WithinYard } from '../base/database/index.ts';
import { keepBuyer, keepFollowUp, nameBuyer } from '../yard/follow-up/index.ts';
import { keepEvents, keepWalk, Walk } from '../show/walk/index.ts';

const audience = z.enum(audiences.map(({ key }) => key) as [Audience, ...Audience[]]);

/** A walk of the demo as it is written down: what was wished, and how it went. */
const demoWalk = z.strictObject({
  unit: z.string(),
  by: z.string(),
  daysAgo: z.number().int().min(0),
  /** `10:40`, on the clock of the server. */
  at: z.string().regex(/^\d\d:\d\d$/),
  minutes: z.number().int(),
  listeners: z.array(audience).default([]),
  route: z.string().default(usualRoute.key),
  /** How long things took against the plan: 1.2 is a fifth longer; and at some stations. */
  pace: z.number().default(1),
  slow: z.record(z.string(), z.number()).default({}),
  /** Cards that were not given, by their ids. */
  skipped: z.array(z.string()).default([]),
  /** Given up after so many cards; paused there. */
  stopsAfter: z.number().int().optional(),
  marks: z
    .array(z.strictObject({ card: z.string(), mark: z.enum(marks), note: z.string().optional() }))
    .default([]),
  buyer: z
    .strictObject({ name: z.string(), email: z.email().optional(), phone: z.string().optional() })
    .optional(),
  followUps: z
    .array(
      z.strictObject({
        kind: z.enum(followUpKinds.map(({ key }) => key) as ['promise']),
        text: z.string(),
        /** The card whose mark it came from. */
        of: z.string().optional(),
        /** Days from today; less than nought is late. */
        inDays: z.number().int(),
        isDone: z.boolean().default(false),
      }),
    )
    .default([]),
});
type DemoWalk = z.infer<typeof demoWalk>;

/** The demo's walks, as its folder has them. @throws Error that names what cannot be read */
export const readDemoWalks = async (folder: string): Promise<readonly DemoWalk[]> =>
  z.array(demoWalk).parse(JSON.parse(await readFile(join(folder, 'walks.json'), 'utf8')));

const day = 86_400_000;
const startOf = ({ daysAgo, at }: DemoWalk): Date => {
  const start = new Date(Date.now() - daysAgo * day);
  const [hours = 9, minutes = 0] = at.split(':').map(Number);
  start.setHours(hours, minutes, 0, 0);
  return start;
};

const cardsOf = (
  walk: DemoWalk,
  { record }: UnitFile,
  { sheets, today }: { readonly sheets: readonly ModelSheet[]; readonly today: string },
) => {
  const all = pointsOf(record, { system: 'us', today, talk: modelTalk(record, sheets) });
  const route = routesOf([]).find(({ key }) => key === walk.route) ?? usualRoute;
  const wanted = [...walk.marks.map(({ card }) => card), ...walk.skipped];
  const lost = wanted.find((id) => !all.some((point) => point.id === id));
  if (lost) throw new Error(`walks.json: ${walk.unit} has no card ${lost}`);
  return planCards(record, all, {
    listeners: walk.listeners.map((key) => ({ audience: key, weight: 1 })),
    available: Math.round(walk.minutes * 60 * (1 - questionsShare)),
    route,
    ready: ['slide', 'power'],
    pinned: new Set(wanted),
    dropped: new Set(),
  });
};

/** What was done at a card, and the milliseconds it took. */
const doneAt = (walk: DemoWalk, point: Point): readonly { what: What; takes: number }[] => {
  if (walk.skipped.includes(point.id)) return [];
  const pace = walk.pace * (walk.slow[point.station] ?? 1);
  const takes = Math.round(point.seconds * 1000 * pace);
  const kind = point.show === undefined ? 'said' : 'shown';
  const marked = walk.marks.filter(({ card }) => card === point.id);
  return [
    { what: { kind, point: point.id }, takes },
    ...marked.map(({ mark, note }) => ({
      what: { kind: 'mark' as const, point: point.id, mark, ...(note ? { note } : {}) },
      takes: 4000,
    })),
  ];
};

const eventsOf = (walk: DemoWalk, points: readonly Point[]): readonly WalkEvent[] => {
  const device = randomUUID();
  const done = points.slice(0, walk.stopsAfter).flatMap((point) => doneAt(walk, point));
  const end: What = { kind: walk.stopsAfter === undefined ? 'finish' : 'pause' };
  const all = [{ what: { kind: 'begin' } as What, takes: 0 }, ...done, { what: end, takes: 5000 }];
  let events: readonly WalkEvent[] = [];
  let elapsed = 0;
  for (const { what, takes } of all) {
    elapsed += takes;
    events = [...events, nextEvent(events, { id: randomUUID(), device, elapsed }, what)];
  }
  return events;
};

/** A follow-up that was proposed bears the id of its mark. */
const markOf = (events: readonly WalkEvent[], card: string | undefined): string | undefined =>
  events.find(({ what }) => what.kind === 'mark' && what.mark !== 'liked' && what.point === card)
    ?.id;

const keepAfter = async (
  yard: WithinYard,
  walk: DemoWalk,
  plan: WalkPlan,
  events: readonly WalkEvent[],
): Promise<void> => {
  if (walk.buyer) {
    const id = randomUUID();
    await keepBuyer(yard, { id, ...walk.buyer });
    await nameBuyer(yard, plan.id, id);
  }
  const { today } = await clockOf(yard);
  for (const { kind, text, of, inDays, isDone } of walk.followUps) {
    const followUp = {
      id: markOf(events, of) ?? randomUUID(),
      walk: plan.id,
      unit: plan.unit,
      kind,
      text,
      due: daysAfter(today, inDays),
      who: walk.by,
      ...(isDone ? { done: daysAfter(today, Math.min(inDays, 0)) } : {}),
    };
    await keepFollowUp(yard, followUp, 0);
  }
};

/**
 * Keeps the demo's walks as devices would have sent them: planned from the records as they are, given with a pace of
 * their own, some days ago.
 */
export const keepDemoWalks = async (
  ofYard: WithinYard,
  walks: readonly DemoWalk[],
  { units, sheets }: { units: readonly UnitFile[]; sheets: readonly ModelSheet[] },
): Promise<void> => {
  const { today } = await clockOf(ofYard);
  for (const walk of walks) {
    const by = { name: walk.by, personId: null };
    const yard = withinYard(ofYard.manager, ofYard.yardId, by);
    const unit = units.find(({ record }) => textOf(record, 'stockNumber') === walk.unit);
    if (!unit) throw new Error(`walks.json: there is no unit ${walk.unit}`);
    const { points } = cardsOf(walk, unit, { sheets, today });
    const plan: WalkPlan = {
      id: randomUUID(),
      unit: unit.id,
      minutes: walk.minutes,
      points: [...points],
      about: {
        listeners: walk.listeners.map((key) => ({ audience: key, weight: 1 })),
        route: routesOf([]).find(({ key }) => key === walk.route)?.label ?? usualRoute.label,
        system: 'us',
      },
    };
    // Nobody spoke there: how fast somebody speaks is not learned from these.
    await keepWalk(yard, plan, by);
    await yard.update(Walk, { id: plan.id }, { createdAt: startOf(walk) });
    const events = eventsOf(walk, points);
    await keepEvents(yard, plan.id, events, null);
    await keepAfter(yard, walk, plan, events);
  }
};
