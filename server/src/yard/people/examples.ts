import type { DeepReadonly } from '@fair-gable/core/base/contract';
import type { SavedView } from '@fair-gable/core/yard/list';
import type { Session, YardPerson } from '@fair-gable/core/yard/people';
import { sample } from '../../base/app/index.ts';

const { person: id, yard, at } = sample;

export const oneTimeLink = { token: 'a-one-time-token', until: '2026-04-16T11:30:00.000Z' };

export const sampleView: SavedView = {
  name: 'For the ferry',
  view: {
    text: '',
    condition: null,
    longest: 300,
    heaviest: 7000,
    driest: null,
    fromYear: null,
    sleeps: null,
    unknown: null,
    has: ['bunks'],
    need: null,
    sort: 'length',
    columns: ['freshTank'],
  },
};

export const samplePerson: YardPerson = {
  id,
  name: 'Ines Rook',
  email: 'ines@thornquay.example',
  role: 'specialist',
  ready: true,
};

export const sampleSession: DeepReadonly<Session> = {
  person: {
    id,
    name: 'Ines Rook',
    email: 'ines@thornquay.example',
    role: 'specialist',
    system: null,
    pace: null,
    learnedPace: 184,
    views: [sampleView],
  },
  yard: {
    id: yard,
    name: 'Thornquay yard',
    system: 'us',
    timeZone: 'America/Denver',
    houseViews: { 'slide-topper': 'wanted' },
    routes: [],
    glossary: [{ code: 'RKD', readings: ['rear kitchen and dinette'] }],
    keepBuyers: 180,
    water: { usual: { gray: 5, galleyShare: 0.4, black: 1, drunk: 0.8 } },
    demo: false,
  },
  yards: [{ id: yard, name: 'Thornquay yard', role: 'specialist' }],
  now: at,
};

export const signedInThere = {
  id: '9f86d081884c7d659a2feaa0c55ad015a3bf4f1b2b0b822cd15d6c15b0f00a08',
  device: 'Chrome on Android',
  since: at,
  seen: at,
  here: true,
};
