/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { enableAutoUnmount } from '@vue/test-utils';
import { defineComponent, h, type PropType } from 'vue';
import { useDraft, useDrafts, type Drafting } from '../../src/base/draft/index.ts';
import { onPage } from './mounted.ts';

interface Text {
  text: string;
  basedOn: number;
}

let drafting: Drafting<Text>;
/** An editor of one text, of the field that it is given and what is known of it. */
const Editor = defineComponent({
  props: {
    field: { type: String, required: true },
    known: { type: Object as PropType<Text>, required: true },
  },
  setup: (props) => {
    drafting = useDraft<Text>({
      place: () => props.field,
      what: () => props.field,
      fresh: () => props.known,
      typed: ({ text }) => text,
    });
    return () => h('p');
  },
});
const editor = (field: string, text = '', basedOn = 0) =>
  onPage(Editor, { field, known: { text, basedOn } });
const type = (text: string): void => void (drafting.draft.value.text = text);

beforeEach(() => localStorage.clear());
enableAutoUnmount(afterEach);

describe('what is typed and not kept', () => {
  it('is there again in another page of the same device, and counts as typed', () => {
    editor('gvwr', '7,490').unmount();
    editor('gvwr', '7,490');
    type('7,4');
    editor('gvwr', '7,490');
    expect(drafting.draft.value.text).toBe('7,4');
    expect(drafting.isTyped.value).toBe(true);
  });

  it('is there under the name that its field has today', () => {
    const draft = {
      value: { text: '205/75R14', basedOn: 0 },
      what: 'Tire size',
      where: '/units/u1',
      at: new Date().toISOString(),
    };
    localStorage.setItem('fair-gable-draft::u1.specs.tyreSize', JSON.stringify(draft)); // voice: kept
    editor('u1.specs.tireSize');
    expect(drafting.draft.value.text).toBe('205/75R14');
    expect(localStorage).toHaveLength(1);
  });

  it('has the names of today in what was set up too, and words of one’s own as they are', () => {
    const put = (place: string, value: unknown): void =>
      localStorage.setItem(
        `fair-gable-draft::${place}`,
        JSON.stringify({ value, what: '', where: '/', at: new Date().toISOString() }),
      );
    put('a', { cards: ['specs.tyreSize'], text: 'tyres' }); // voice: kept
    put('b', 'tyres'); // voice: kept
    editor('u1.specs.gvwr');
    const { all } = useDrafts();
    expect(all.get('a')?.value).toEqual({ cards: ['specs.tireSize'], text: 'tyres' }); // voice: kept
    expect(all.get('b')?.value).toBe('tyres'); // voice: kept
  });

  it('is each its own: another field in the same editor has nothing of it', async () => {
    const page = editor('gvwr');
    type('7,4');
    await page.setProps({ field: 'uvw', known: { text: '5,180', basedOn: 1 } });
    expect(drafting.draft.value).toEqual({ text: '5,180', basedOn: 1 });
    await page.setProps({ field: 'gvwr', known: { text: '', basedOn: 0 } });
    expect(drafting.draft.value.text).toBe('7,4');
  });

  it('follows what others say while nothing is typed, and rests on what was there once it is', async () => {
    const page = editor('gvwr', '7,490', 1);
    await page.setProps({ known: { text: '7,500', basedOn: 2 } });
    expect(drafting.draft.value).toEqual({ text: '7,500', basedOn: 2 });
    type('7,400');
    await page.setProps({ known: { text: '7,600', basedOn: 3 } });
    expect(drafting.draft.value).toEqual({ text: '7,400', basedOn: 2 });
    drafting.clear();
    expect(drafting.draft.value).toEqual({ text: '7,600', basedOn: 3 });
    expect(drafting.isTyped.value).toBe(false);
  });

  it('goes when it is kept, and stays when it is refused, also where the editor was left', async () => {
    const page = editor('gvwr');
    type('7,490');
    expect(await drafting.keepWith(async () => false)).toBe(false);
    expect(drafting.draft.value.text).toBe('7,490');
    const isRefused = drafting.keepWith(async () => false);
    await page.setProps({ field: 'uvw', known: { text: '', basedOn: 0 } });
    await isRefused;
    expect(drafting.draft.value.text).toBe('');
    expect([...useDrafts().all.keys()]).toEqual(['gvwr']);
    await page.setProps({ field: 'gvwr', known: { text: '', basedOn: 0 } });
    expect(await drafting.keepWith(async () => true)).toBe(true);
    expect(useDrafts().all.size).toBe(0);
  });

  it('loses no key that is typed while the ones before are being kept', async () => {
    const page = editor('gvwr');
    type('7,490');
    const isKept = drafting.keepWith(async () => {
      await page.setProps({ known: { text: '7,490', basedOn: 1 } });
      return true;
    });
    type('7,490 lb');
    await isKept;
    // On the version that was kept: it is nobody else's.
    expect(drafting.draft.value).toEqual({ text: '7,490 lb', basedOn: 1 });
    expect(drafting.isTyped.value).toBe(true);
    const isRefused = drafting.keepWith(async () => false);
    type('7,490 lbs');
    await isRefused;
    expect(drafting.draft.value.text).toBe('7,490 lbs');
  });
});
