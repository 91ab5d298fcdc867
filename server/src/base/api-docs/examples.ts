import { drawingOf } from '@fair-gable/core/unit/outline';
import { basicsOf, emptyRecord, packed, type UnitRecord } from '@fair-gable/core/unit/record';

/** One example of what is sent and what is answered, for each route; a test holds them to the schemas. */
export interface Example {
  readonly body?: unknown;
  /** What kind of bytes are sent, where it is no JSON. */
  readonly bytes?: string;
  readonly answer?: unknown;
}

const unit = '7f3a0000-0000-4000-8000-000000000192';
const walk = 'c0ffee00-0000-4000-8000-000000000007';
const person = 'a11ce000-0000-4000-8000-000000000001';
const yard = 'ba5e0000-0000-4000-8000-000000000001';
const at = '2026-04-13T11:30:00.000Z';
const browser = '9f86d081884c7d659a2feaa0c55ad015a3bf4f1b2b0b822cd15d6c15b0f00a08';

const gvwr = { kind: 'quantity', amount: 7490 };
const change = { part: 'specs', key: 'gvwr', value: gvwr, how: 'read', basedOn: 1 };
const first = { ...change, basedOn: 0 };
const record = {
  ...emptyRecord,
  specs: { gvwr: { value: gvwr, how: 'read', by: 'Ines Rook', at, version: 2 } },
};
const unitView = { id: unit, record, revision: 2 };
const toRead = { urgency: 'now', text: 'Still to read: VIN', station: 'labels' };

const card = {
  id: 'specs.gvwr',
  station: 'labels',
  label: 'Gross weight rating',
  sentence: 'Fully loaded it may weigh 7,490 lb.',
  numbers: [{ label: 'Gross weight rating', text: '7,490 lb', how: 'read' }],
  seconds: 10,
};
const plan = { id: walk, unit, minutes: 15, points: [card] };
const event = {
  id: 'e7e40000-0000-4000-8000-000000000001',
  device: 'de71ce00-0000-4000-8000-000000000001',
  counter: 2,
  elapsed: 9000,
  what: { kind: 'said', point: 'specs.gvwr' },
};
const given = {
  plan,
  by: 'Ines Rook',
  own: true,
  account: 'ines@thornquay.example',
  createdAt: at,
  events: [event],
};
const followUp = {
  id: 'f0110000-0000-4000-8000-000000000001',
  walk,
  unit,
  kind: 'promise',
  text: 'Send the manual of the fridge',
  due: '2026-04-14',
  who: 'Ines Rook',
};
const buyer = {
  id: 'b0e40000-0000-4000-8000-000000000001',
  name: 'Asa Fenn',
  email: 'asa@harbour.example',
};
const letter = {
  id: '1e77e400-0000-4000-8000-000000000001',
  walk,
  subject: 'The Fenlark 24 RKD you looked at',
  text: 'Good day Asa Fenn, …',
};
const keptLetter = { ...letter, to: buyer.email, by: 'Ines Rook', at, sentAt: at };
const screenToken = 'the-address-of-a-screen-0001';
const link = { token: 'a-one-time-token', until: '2026-04-16T11:30:00.000Z' };
const row = { key: 'hitch', label: 'Hitch' };

const known = (amount: number) => ({ amount, how: 'read' });
const outcome = {
  steps: [{ what: 'All of them', arithmetic: '4 × 2,150 lb = 8,600 lb' }],
  assumptions: ['Every tyre carries the same.'],
  source: 'common practice',
  confidence: 'stated',
  missing: [],
  sentence: 'They carry 8,600 lb, 23 % more than lies on them.',
};

const view = {
  text: '',
  condition: null,
  longest: 300,
  heaviest: 7000,
  has: ['bunks'],
  need: null,
  sort: 'length',
  columns: ['freshTank'],
};

const sheetId = '5e1ec7ed-0000-4000-8000-000000000001';
const sheet = {
  id: sheetId,
  series: 'Fenlark',
  floorPlan: '24 RKD',
  year: 2026,
  source: 'Maker’s sheet of January 2026',
  values: { specs: { gvwr }, features: { awning: 'standard' }, places: {} },
  packages: [
    {
      key: 'winter',
      name: 'Winter',
      standard: false,
      adds: { specs: {}, features: { tankHeat: 'option' }, places: {} },
      replaces: [],
      forbids: [],
    },
  ],
  midYear: [],
  sisters: [],
  objections: [{ says: 'The step count is low.', answer: 'The floor is low too.' }],
  wouldChange: ['A second outlet by the dinette.'],
  wordings: { 'specs.gvwr': { words: 'By its label 7,490 lb at most.' } },
};
const kept = { sheet, version: 1, by: 'Maren Holt', at, offers: [] };
const offer = {
  id: '0ffe4000-0000-4000-8000-000000000001',
  unit,
  unitName: 'Fenlark 24 RKD',
  part: 'specs',
  key: 'gvwr',
  spec: gvwr,
};
const list = { text: 'Stock #,Dry weight\r\nTQ-0500,5200\r\n', system: 'us', how: 'told' };
const summary = {
  rows: 1,
  fresh: 1,
  changed: 0,
  same: 0,
  problems: [],
  problemCount: 0,
  badCells: 0,
  badLines: 0,
};

const vehicle = {
  key: 'half-ton',
  label: 'Half-ton truck',
  kind: 'class',
  figures: { payload: { amount: 1640, from: 'label' } },
};

const health = {
  ok: true,
  database: 'answers',
  migrations: { newest: 'FirmGround1795651200000', applied: 2, missing: 0 },
  queue: { working: 0, waiting: 0 },
  live: { hears: true, screens: 3 },
};

export const examples: Readonly<Record<string, Example>> = {
  'GET /api/health': { answer: health },
  'POST /api/numbers/weight': {
    body: {
      uvw: known(5200),
      hitch: known(640),
      axle: known(216),
      gvwr: known(7490),
      items: [{ key: 'front', label: 'Front store', weight: known(250), back: known(84) }],
    },
    answer: {
      ...outcome,
      value: {
        total: 5450,
        hitch: 792.8,
        axles: 4657.2,
        share: 0.1455,
        limits: [{ key: 'gross', label: 'Gross rating', used: 5450, rating: 7490, left: 2040 }],
        first: 'gross',
        left: 2040,
        lightest: { share: 0.1455, full: [] },
        heaviest: { share: 0.1455, full: [] },
      },
    },
  },
  'POST /api/numbers/tow': {
    body: { loaded: known(6516), share: known(0.132), payload: known(1700), reserve: 0.2 },
    answer: {
      ...outcome,
      value: {
        hitch: 860,
        share: 0.132,
        limits: [],
        unchecked: [],
        taken: 'loaded',
        as: 'as loaded here',
        largest: 10_303,
        binding: 'payload',
        fits: true,
        least: { payload: 1075, towRating: 8145, receiver: 1075 },
        schools: [{ reserve: 0, fits: true, binding: 'payload', largest: 12_879 }],
      },
    },
  },
  'POST /api/numbers/tyres': {
    body: { each: known(2150), gawr: known(7000), count: 4 },
    answer: { ...outcome, value: { each: 2150, all: 8600, reserve: 0.2286, enough: true } },
  },
  'POST /api/numbers/water': {
    body: { fresh: known(47), gray: known(34), people: 2, style: 'usual' },
    answer: {
      ...outcome,
      value: { nights: 2, days: 2.83, first: 'gray', tanks: [], saved: 0.57 },
    },
  },
  'POST /api/numbers/cargo-label': {
    body: { gvwr: known(7490), uvw: known(5572), ccc: known(1858), propane: known(60) },
    answer: {
      ...outcome,
      value: {
        left: 1918,
        difference: 60,
        agrees: false,
        explained: [{ words: 'full propane cylinders', pounds: 60 }],
        line: 100,
        toLine: 100,
        rule: '49 CFR 571.110 S9–S10',
      },
    },
  },
  'POST /api/numbers/scale': {
    body: { vehicle: known(5760), together: known(12_120), trailerAxles: known(5540) },
    answer: {
      ...outcome,
      value: { total: 6360, hitch: 820, axles: 5540, share: 0.1289, limits: [] },
    },
  },
  'POST /api/numbers/drag': {
    body: {
      height: known(118),
      width: known(96),
      otherHeight: known(130),
      otherWidth: known(96),
      speed: 60,
    },
    answer: { ...outcome, value: { force: 576, other: 634, saved: 0.0923 } },
  },
  'GET /api/vehicles': { answer: { vehicles: [vehicle] } },
  'PUT /api/vehicles/:key': { body: vehicle },
  'DELETE /api/vehicles/:key': {},
  'PUT /api/walks/:id/memos/:memo': { bytes: 'application/octet-stream' },
  'GET /api/walks/:id/memos/:memo': {},
  'POST /api/walks/:id/screens': { answer: { token: screenToken, until: at } },
  'DELETE /api/walks/:id/screens': {},
  'GET /api/screens/:token': {
    answer: {
      unit: 'Fenlark 24 RKD',
      state: 'walking',
      station: 'labels',
      title: 'Gross weight rating',
      system: 'us',
      numbers: [{ label: 'Gross weight rating', text: '7,490 lb' }],
      photos: [],
      drawing: drawingOf(record as unknown as UnitRecord),
    },
  },
  'GET /api/screens/:token/live': {},
  'GET /api/screens/:token/photos/:photo': {},
  'GET /api/follow-ups': { answer: { followUps: [{ followUp, by: 'Ines Rook', version: 1 }] } },
  'PUT /api/follow-ups/:id': { body: { followUp, basedOn: 0 }, answer: { version: 1 } },
  'DELETE /api/follow-ups/:id': {},
  'GET /api/buyers': { answer: { buyers: [{ buyer, keepUntil: '2026-10-10', walks: [walk] }] } },
  'PUT /api/buyers/:id': { body: buyer, answer: { keepUntil: '2026-10-10' } },
  'GET /api/buyers/:id': {
    answer: {
      buyer,
      keepUntil: '2026-10-10',
      walks: [{ id: walk, unit, by: 'Ines Rook', at, marks: [] }],
      followUps: [followUp],
      letters: [],
    },
  },
  'DELETE /api/buyers/:id': {},
  'PUT /api/walks/:id/buyer': { body: { buyer: buyer.id } },
  'GET /api/letters': { answer: { letters: [keptLetter] } },
  'PUT /api/letters/:id': { body: letter, answer: keptLetter },
  'GET /api/units/:id/photos/:photo': {},
  'GET /api/units/:id/photos/:photo/upload': { answer: { received: 512_000, done: false } },
  'PUT /api/units/:id/photos/:photo/upload': {
    bytes: 'application/octet-stream',
    answer: { received: 12_000_000, done: true, width: 2000, height: 1500 },
  },
  'GET /api/units/:id/file.zip': {},
  'POST /api/unit-files/zip': {
    bytes: 'application/zip',
    answer: { id: unit, name: 'Fenlark 24 RKD', unsigned: false },
  },
  'GET /api/catalogue': {
    answer: {
      stations: [row],
      specs: [{ key: 'gvwr', label: 'Gross weight rating' }],
      features: [{ key: 'coupler', label: 'Coupler' }],
      featureStates: [{ key: 'standard' }],
      knownBy: [{ key: 'read' }],
      audiences: [{ key: 'winter', label: 'Winter camper' }],
      schools: [{ key: 'slide-topper', about: 'Slide toppers: wanted or not' }],
    },
  },
  'POST /api/session': { body: { email: 'ines@thornquay.example', password: 'spring-ferry-22' } },
  'DELETE /api/session': {},
  'GET /api/first-account': { answer: { wanted: false } },
  'POST /api/first-account': {
    body: {
      token: 'printed-at-start',
      yard: 'Sallow North',
      name: 'Ada Finch',
      email: 'ada@north.example',
      password: 'a long enough one',
    },
  },
  'POST /api/links/look': {
    body: { token: link.token },
    answer: { kind: 'invitation', yard: 'Sallow North', role: 'specialist' },
  },
  'POST /api/invitations/accept': { body: { token: link.token } },
  'POST /api/password': { body: { token: link.token, password: 'a long enough one' } },
  'GET /api/session': {
    answer: {
      person: {
        id: person,
        name: 'Ines Rook',
        email: 'ines@thornquay.example',
        role: 'specialist',
        system: null,
        pace: null,
        learnedPace: 184,
        views: [{ name: 'For the ferry', view }],
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
    },
  },
  'PUT /api/session/yard': { body: { yard } },
  'PUT /api/me': { body: { name: 'Ines Rook', system: 'metric', pace: 165 } },
  'PUT /api/me/password': { body: { present: 'spring-ferry-22', next: 'a long enough one' } },
  'GET /api/me/sessions': {
    answer: {
      sessions: [{ id: browser, device: 'Chrome on Android', since: at, seen: at, here: true }],
    },
  },
  'DELETE /api/me/sessions': {},
  'DELETE /api/me/sessions/:id': {},
  'GET /api/people': {
    answer: {
      people: [
        {
          id: person,
          name: 'Ines Rook',
          email: 'ines@thornquay.example',
          role: 'specialist',
          ready: true,
        },
      ],
    },
  },
  'POST /api/people': {
    body: { name: 'Bram Oake', email: 'bram@thornquay.example', role: 'technician' },
    answer: { id: person, link },
  },
  'PUT /api/people/:id': { body: { role: 'manager' } },
  'DELETE /api/people/:id': {},
  'POST /api/people/:id/link': { answer: link },
  'PUT /api/yard': {
    body: { name: 'Thornquay yard', system: 'us', houseViews: { 'slide-topper': 'wanted' } },
  },
  'GET /api/yard/history': {
    answer: {
      changes: [
        {
          id: 'c4a00000-0000-4000-8000-000000000001',
          what: 'role',
          subject: 'Bram Oake',
          from: 'viewer',
          to: 'technician',
          by: 'Maren Holt',
          account: 'maren@thornquay.example',
          at,
        },
      ],
    },
  },
  'GET /api/live': {},
  'GET /api/stock-list.csv': {},
  'GET /api/stock-list.json': {
    answer: [{ format: 'fair-gable/unit', version: 3, id: unit, record }],
  },
  'POST /api/stock-list/preview': {
    body: list,
    answer: {
      ...summary,
      headings: ['Stock #', 'Dry weight'],
      columns: ['stockNumber', 'uvw'],
      sample: [['TQ-0500', '5200']],
      decimal: 'point',
      understood: [
        [
          { says: 'TQ-0500', before: null },
          { says: '5,200 lb', before: null },
        ],
      ],
    },
  },
  'POST /api/stock-list': { body: { ...list, onlyGood: false }, answer: summary },
  'GET /api/model-sheets': { answer: { sheets: [kept] } },
  'GET /api/model-sheets/:id/file': {
    answer: { format: 'fair-gable/model-sheet', version: 1, sheet },
  },
  'GET /api/model-sheets/:id/history': {
    answer: {
      changes: [
        {
          id: unit,
          version: 1,
          from: null,
          to: sheet,
          units: 0,
          by: 'Maren Holt',
          at: '2026-04-15T09:00:00.000Z',
        },
      ],
    },
  },
  'POST /api/model-sheets/:id/preview': {
    body: { sheet },
    answer: {
      units: [
        {
          id: unit,
          name: 'Fenlark 24 RKD',
          stockNumber: 'TQ-0417',
          changes: [{ ...first, how: 'sheet' }],
        },
      ],
    },
  },
  'PUT /api/model-sheets/:id': {
    body: { sheet, basedOn: 0, units: [unit] },
    answer: { sheets: [kept] },
  },
  'DELETE /api/model-sheets/:id': {},
  'POST /api/model-sheets/:id/offers': { body: offer },
  'DELETE /api/model-sheets/:id/offers/:offer': {},
  'GET /api/units/:id/as-ordered.csv': {},
  'PUT /api/me/views': { body: { views: [{ name: 'For the ferry', view }] } },
  'GET /api/units': { answer: { total: 1, units: [unitView] } },
  'GET /api/units/summaries': {
    answer: {
      total: 1,
      units: [
        {
          id: unit,
          revision: 2,
          record: basicsOf(record as UnitRecord),
          packed: packed(record as UnitRecord),
          verdict: {
            day: '2026-04-13',
            need: toRead,
            left: { disagree: 0, confirm: 3, look: 41, prep: 0 },
            followsSheet: false,
          },
        },
      ],
    },
  },
  'GET /api/units/:id': { answer: unitView },
  'GET /api/units/:id/history': {
    answer: {
      changes: [
        {
          id: 'c4a00000-0000-4000-8000-000000000002',
          part: 'specs',
          key: 'gvwr',
          from: { kind: 'quantity', amount: 7940 },
          fromHow: 'told',
          to: gvwr,
          how: 'read',
          by: 'Ines Rook',
          at,
        },
      ],
    },
  },
  'POST /api/units': { body: { id: unit, changes: [first] }, answer: unitView },
  'POST /api/units/:id/edits': {
    body: { id: 'ed170000-0000-4000-8000-000000000001', changes: [change] },
    answer: unitView,
  },
  'GET /api/units/:id/file': {
    answer: { format: 'fair-gable/unit', version: 1, id: unit, record },
  },
  'POST /api/unit-files': {
    body: { format: 'fair-gable/unit', version: 1, id: unit, record },
    answer: { id: unit, name: 'Fenlark 24 RKD', unsigned: true },
  },
  'PUT /api/walks/:id': { body: plan },
  'POST /api/walks/:id/events': { body: { events: [event] } },
  'GET /api/walks': { answer: { walks: [given] } },
  'GET /api/walks/:id': { answer: given },
  'GET /api/units/:id/walks': { answer: { walks: [given] } },
};
