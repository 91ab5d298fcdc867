<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, watch } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  labelTargets,
  specEntry,
  type LabelKind,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import { applies, formatSpec, nameOf, type YardUnit } from '@fair-gable/core/unit/record';
import { changesByLabelPhotos, labelsOf, otherReadings } from '@fair-gable/core/unit/round';
import { Plain } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { DraftMark, useDraft } from '../../base/draft/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import { keptPicture } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';
import { photosOf } from '../photo/photos.ts';
import { prepared } from '../photo/prepare.ts';
import TakePhoto from '../photo/TakePhoto.vue';
import ZoomTurn from '../photo/ZoomTurn.vue';
import { useEdits } from '../record/edits.ts';
import SpecInput from '../record/SpecInput.vue';
import type { Aim, CodeScanner } from './ports.ts';
import { photoScanner } from './scan.ts';
import { scanWith } from './scanning.ts';
import { standInCamera, standInScanner } from './stand-ins.ts';
import {
  labelChanges,
  labelTyped,
  otherReadingWords,
  textsIn,
  withTyped,
  type LabelDraft,
} from './typed-label.ts';

/** The labels of a unit: a photo of each beside the fields that it settles. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const edits = useEdits();
const mayWrite = computed(() => session.may('record'));

const labels = computed(() => labelsOf(props.unit.record));
const at = ref<LabelKind['key']>('vin');
const label = computed(() => labels.value.find(({ key }) => key === at.value));
const fields = computed(() =>
  (label.value?.settles ?? []).map(specEntry).filter((spec) => applies(props.unit.record, spec)),
);
const targets = computed(() => (label.value ? labelTargets(label.value) : []));
/** The newest photo of this label. */
const photo = computed(() => photosOf(props.unit.record, targets.value[0] ?? '').at(-1));

/** Labels that bear a bar code or a QR code. */
const hasCode = computed(() => at.value === 'vin' || at.value === 'number');

/** What is typed of a label waits by itself while one looks at another. */
const {
  draft: typed,
  clear,
  keepWith,
} = useDraft({
  place: () => `${props.unit.id}.labels.${at.value}`,
  what: () => label.value?.label ?? '',
  fresh: (): LabelDraft => ({}),
  typed: textsIn,
});
const { busy, done: notice, problem, clear: clearNews, attempt } = useAttempt();
watch(at, () => {
  asking.value = false;
  clearNews();
});

const { system } = session;
const type = (texts: Partial<Record<SpecKey, string>>): void => {
  typed.value = withTyped(typed.value, texts, props.unit.record);
};
const shown = (key: SpecKey): string => {
  const entry = props.unit.record.specs[key];
  return entry ? formatSpec(key, entry.value, session.system, entry.how) : 'not read yet';
};

const reading = computed(() => labelTyped(fields.value, typed.value, session.system));
const read = computed(() => reading.value.read);
/** Figures that differ from what was read before: whose label it is is asked first. */
const others = computed(() => otherReadings(props.unit.record, read.value));
const asking = ref(false);
const drop = (): void => {
  clear();
  asking.value = false;
  notice.value = 'Nothing changed. If the photo is of another unit, remove it here.';
};

const keep = async (): Promise<void> => {
  clearNews();
  if (others.value.length > 0 && !asking.value) {
    asking.value = true;
    return;
  }
  asking.value = false;
  const [changes, mine] = [
    labelChanges(props.unit.record, read.value, typed.value.basedOn),
    at.value,
  ];
  const { label: full = 'Label' } = label.value ?? {};
  const name = inText(full);
  const isKept = await keepWith(() =>
    attempt(() => edits.change(props.unit.id, changes, `${name} read`)),
  );
  // One may look at another label by now.
  if (!isKept && mine !== at.value) problem.value = `${full}: ${problem.value}`;
  if (isKept) notice.value = `Saved as read off the ${name}.`;
};

/** What the label on the photo is: from this device, or from the server. */
const pictureOf = async (id: string): Promise<Blob> =>
  (await keptPicture(id)) ??
  (await (await fetch(`/api/units/${props.unit.id}/photos/${id}?size=whole`)).blob());

const aim = computed<Aim>(() => {
  const id = photo.value?.id;
  const unitName = nameOf(props.unit.record);
  return { label: at.value, unitName, ...(id ? { photo: () => pictureOf(id) } : {}) };
});

const scan = async (scanner: CodeScanner): Promise<void> => {
  const mine = label.value;
  busy.value = true;
  const { fills, problem: refused } = await scanWith(scanner, aim.value);
  busy.value = false;
  // What was read off one label is not put into another.
  if (mine?.key !== at.value) {
    problem.value = `${mine?.label ?? 'Label'}: you left it before its code was read. Read it again there.`;
    return;
  }
  problem.value = refused ?? '';
  if (!fills) return;
  type(fills);
  notice.value = 'We read the code. Check it against the label, then save it.';
};

/** With a photo of each the labels are photographed: that is ticked by itself. */
const tick = async (): Promise<void> => {
  const changes = changesByLabelPhotos(props.unit.record);
  if (changes.length === 0) return;
  await attempt(() => edits.change(props.unit.id, changes, 'labels photographed'));
};

const standIn = (): Promise<boolean> =>
  attempt(async () => {
    const blob = await standInCamera.take(aim.value).catch(() => undefined);
    if (!blob)
      throw new Plain('The demo needs a network to draw its labels. Type what the label says.');
    const { width, height, blob: small } = await prepared(blob);
    const taken = { id: crypto.randomUUID(), blob: small };
    await edits.addPhoto(props.unit.id, taken, { of: [...targets.value], width, height });
    await tick();
  });
</script>

<template>
  <section aria-labelledby="labels-title">
    <header class="page-head">
      <h2 id="labels-title">Labels</h2>
      <p class="soft">
        A photo next to its fields; what you type here counts as read off the label.
      </p>
    </header>
    <nav class="kinds" aria-label="Labels">
      <button
        v-for="one in labels"
        :key="one.key"
        type="button"
        :aria-pressed="one.key === at"
        @click="at = one.key"
      >
        {{ one.label }}
        <span class="small soft">{{
          one.unread.length === 0 ? 'read' : `${one.unread.length} to read`
        }}</span>
        <DraftMark :place="`${unit.id}.labels.${one.key}`" />
      </button>
    </nav>
    <div v-if="label" class="bench">
      <div class="photo">
        <ZoomTurn
          v-if="photo"
          :unit="unit.id"
          :photo="photo.id"
          :alt="`Photo of the ${label.label}`"
          :width="photo.photo.width"
          :height="photo.photo.height"
        >
          <template #tools>
            <Button
              v-if="mayWrite && hasCode"
              type="button"
              severity="secondary"
              label="Read its code"
              :loading="busy"
              @click="scan(photoScanner)"
            />
          </template>
        </ZoomTurn>
        <p v-else class="none">
          No photo of it yet. <span class="soft">{{ label.where }}</span>
        </p>
        <div v-if="mayWrite" class="take">
          <TakePhoto
            :unit="unit.id"
            :of="targets"
            :label="photo ? 'Retake' : `Photo of the ${label.label}`"
            @taken="tick"
          />
          <Button
            v-if="session.session?.yard.demo"
            type="button"
            text
            label="No camera? Use a demo label"
            :disabled="busy"
            @click="standIn"
          />
          <Button
            v-if="session.session?.yard.demo && hasCode"
            type="button"
            text
            label="Scan it with the demo’s scanner"
            :disabled="busy"
            @click="scan(standInScanner)"
          />
        </div>
      </div>
      <form @submit.prevent="keep">
        <div v-for="spec in fields" :key="spec.key" class="field" :data-label-field="spec.key">
          <p class="known">
            <strong>{{ spec.label }}</strong>
            <EvidenceMark :how="unit.record.specs[spec.key]?.how" bare />
            <span :class="{ guess: unit.record.specs[spec.key]?.how === 'guessed' }">{{
              shown(spec.key)
            }}</span>
          </p>
          <SpecInput
            v-if="mayWrite"
            :model-value="typed[spec.key] ?? ''"
            :spec="spec"
            :system="system"
            hide-label
            @update:model-value="(text) => type({ [spec.key]: text })"
          />
        </div>
        <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
        <p v-else-if="notice" class="soft" role="status">{{ notice }}</p>
        <div v-if="asking && others.length" class="asking" role="alert">
          <p><strong>Whose label is this?</strong> It was read differently before.</p>
          <ul>
            <li v-for="one in others" :key="one.key">
              {{ otherReadingWords(one, session.system) }}
            </li>
          </ul>
          <Button type="submit" label="It’s this unit’s: replace the other" />
          <Button
            type="button"
            severity="secondary"
            label="It’s another unit’s: change nothing"
            @click="drop"
          />
        </div>
        <Button
          v-else-if="mayWrite"
          type="submit"
          :label="read.length > 1 ? `Save ${read.length} as read` : 'Save as read'"
          :disabled="read.length === 0 || reading.isBroken"
        />
      </form>
    </div>
  </section>
</template>

<style scoped>
.asking {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding-left: 12px;
  border-left: 3px solid var(--brick);
}

.kinds {
  display: flex;
  overflow-x: auto;
  border-bottom: var(--line) solid var(--hairline);
}

.kinds button {
  display: grid;
  flex: none;
  min-height: var(--thumb);
  padding: 6px 20px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

.kinds button[aria-pressed='true'] {
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ink);
}

.bench {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(300px, 1fr);
  gap: 24px;
  padding: 16px 24px;
}

.photo {
  display: grid;
  align-content: start;
  gap: 10px;
  min-width: 0;
}

.none {
  padding: 40px 20px;
  border: var(--line) dashed var(--edge);
  text-align: center;
}

.take {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

form {
  display: grid;
  align-content: start;
  gap: 12px;
}

.field {
  padding-bottom: 10px;
  border-bottom: var(--line) solid var(--hairline);
}

.known {
  display: flex;
  align-items: center;
  gap: 8px;
}

.known > :last-child {
  margin-left: auto;
}

@media (width < 760px) {
  .bench {
    grid-template-columns: 1fr;
    padding-inline: 16px;
  }
}
</style>
