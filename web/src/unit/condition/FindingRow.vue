<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { formatDate } from '@fair-gable/core/base/dates';
import { findingKind, gravities, stationEntry } from '@fair-gable/core/unit/catalog';
import {
  answersTo,
  gravityNow,
  isDisclosedFirst,
  needsTechnician,
  type FoundThing,
} from '@fair-gable/core/unit/condition';
import {
  verdicts,
  byWhom,
  type Answer,
  type Change,
  type Finding,
  type UnitRecord,
  type Verdict,
} from '@fair-gable/core/unit/record';
import { onDay, useClock } from '../../base/clock/index.ts';
import SelectField from '../../base/controls/SelectField.vue';
import { vTakesFocus } from '../../base/controls/takes-focus.ts';
import { DraftMark, useDraft, useDrafts } from '../../base/draft/index.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import { findingChange, signatureChange, withRepair } from './finding-edits.ts';
import FindingForm from './FindingForm.vue';
import GuidedLook from './GuidedLook.vue';

/** One finding: what it is, the look into it, its photos, its repair, and what a technician signed. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  found: FoundThing;
  open: boolean;
  mayWrite: boolean;
  maySign: boolean;
  /** Keeps changes of it; false where that was refused. */
  keep: (changes: readonly Change[], what: string) => Promise<boolean>;
}>();
const emit = defineEmits<{ toggle: [] }>();

const id = useId();
const finding = computed(() => props.found.finding);
const kind = computed(() => findingKind(finding.value.kind));
const gravity = computed(
  () => gravities.find(({ key }) => key === gravityNow(props.found))?.label ?? '',
);
const recorded = computed(
  () => gravities.find(({ key }) => key === finding.value.gravity)?.label ?? '',
);
/** How bad the look says that it is, while nobody has signed. */
const proposed = computed(() => (props.found.signed ? undefined : props.found.proposes));
const clock = useClock();
const editPlace = computed(() => `${props.unit}.findings.${props.found.id}`);
const {
  draft: repair,
  isTyped: isRepairTyped,
  keepWith: keepRepairWith,
} = useDraft({
  place: () => `${editPlace.value}.repair`,
  what: () => `${kind.value.label}, its repair`,
  fresh: () => ({ on: clock.today, by: '', what: '' }),
});
/** Open again where something was typed and not kept. */
const editing = ref(useDrafts().all.has(editPlace.value));
const repairing = ref(isRepairTyped.value);
const { draft: signing, keepWith: signWith } = useDraft({
  place: () => `${editPlace.value}.signature`,
  what: () => `${kind.value.label}, what a technician signs`,
  fresh: () => ({ verdict: 'as-found' as Verdict, note: '' }),
});
const signs = verdicts.filter(({ key }) => key !== 'inspected');

/** What wheels and labels answer by themselves of a tire unlike the others. */
const known = computed(() =>
  kind.value.look ? answersTo(kind.value.look, {}, props.record, clock.today) : {},
);

const save = async (value: Finding, basedOn?: number): Promise<boolean> => {
  const change = findingChange(props.found, value, basedOn);
  const isKept = await props.keep([change], inText(kind.value.label));
  if (isKept) editing.value = false;
  return isKept;
};
/** Answers that are on their way into the record: of two quick taps the second does not undo the first. */
const underWay = ref<Readonly<Record<string, Answer>>>({});
const answer = async (key: string, given: Answer): Promise<void> => {
  underWay.value = { ...underWay.value, [key]: given };
  await save({ ...finding.value, answers: { ...finding.value.answers, ...underWay.value } });
  const rest = Object.entries(underWay.value).filter(([other, a]) => other !== key || a !== given);
  underWay.value = Object.fromEntries(rest);
};

const keepRepair = async (): Promise<void> => {
  const repaired = withRepair(finding.value, repair.value);
  if (!repaired) return;
  const isKept = await keepRepairWith(() => save(repaired));
  if (isKept) repairing.value = false;
};

const sign = (): void => {
  const change = signatureChange(props.record, props.found, signing.value);
  void signWith(() => props.keep([change], 'signature'));
};
const signedWords = computed(() => {
  const { signed } = props.found;
  if (!signed) return '';
  const label = verdicts.find(({ key }) => key === signed.value.verdict)?.label ?? '';
  return `${label}: ${signed.by}, ${formatDate(onDay(signed.at))}${signed.value.note ? `, “${signed.value.note}”` : ''}`;
});
</script>

<template>
  <li :class="{ open, gone: finding.repaired }" :data-finding="finding.kind">
    <button
      v-takes-focus="open"
      type="button"
      class="head"
      :aria-expanded="open"
      @click="emit('toggle')"
    >
      <strong>{{ kind.label }}</strong>
      <span class="soft">{{ stationEntry(finding.station).label }}</span>
      <span class="grave">{{ finding.repaired ? 'Repaired' : gravity }}</span>
      <span v-if="isDisclosedFirst(found)" class="first">disclose first</span>
      <span v-if="finding.note" class="note">{{ finding.note }}</span>
      <span v-if="signedWords" class="small note">{{ signedWords }}</span>
      <span v-else-if="needsTechnician(found)" class="small note amber"
        >a technician hasn’t decided yet</span
      >
    </button>
    <DraftMark v-if="!open" :place="editPlace" class="waits" />
    <div v-if="open" class="body">
      <FindingForm
        v-if="editing"
        :finding="finding"
        :version="found.entry.version"
        :place="editPlace"
        :keep="save"
        @cancel="editing = false"
      />
      <template v-else>
        <p class="small soft">
          {{ kind.explain }} Found by {{ byWhom(found.entry) }},
          {{ formatDate(onDay(found.entry.at)) }}.
        </p>
        <PhotoStrip
          :unit="unit"
          :record="record"
          :target="`findings.${found.id}`"
          :may-write="mayWrite"
        />
        <GuidedLook
          v-if="kind.look"
          :look="kind.look"
          :answers="finding.answers ?? {}"
          :known="known"
          :may-write="mayWrite"
          @answer="answer"
        />
        <p v-if="proposed" class="proposed">
          What you saw points to something worse than “{{ inText(recorded) }}”. Until a technician
          signs, it counts as “{{ inText(gravity) }}” and you disclose it first.
          <Button
            v-if="mayWrite"
            severity="secondary"
            :label="`Record it as: ${inText(gravity)}`"
            @click="save({ ...finding, gravity: proposed, saidFirst: true })"
          />
        </p>
        <div v-if="mayWrite" class="actions">
          <Button severity="secondary" label="Change it" @click="editing = true" />
          <Button
            v-if="!finding.repaired"
            severity="secondary"
            label="Mark as repaired"
            @click="repairing = !repairing"
          />
          <Button
            severity="secondary"
            label="Remove"
            @click="keep([findingChange(found, null)], 'finding removed')"
          />
        </div>
        <form v-if="repairing" class="fields" @submit.prevent="keepRepair">
          <div>
            <label :for="`${id}-on`">Repaired on</label>
            <InputText :id="`${id}-on`" v-model="repair.on" type="date" max="9999-12-31" />
          </div>
          <div>
            <label :for="`${id}-by`">By</label>
            <InputText :id="`${id}-by`" v-model="repair.by" maxlength="80" />
          </div>
          <div>
            <label :for="`${id}-what`">What was done</label>
            <InputText :id="`${id}-what`" v-model="repair.what" maxlength="200" />
          </div>
          <Button type="submit" label="Save repair" :disabled="!repair.by.trim()" />
        </form>
        <p v-if="finding.repaired" class="small">
          Repaired by {{ finding.repaired.by }}, {{ formatDate(finding.repaired.on)
          }}<template v-if="finding.repaired.what">: {{ finding.repaired.what }}</template
          >.
        </p>
        <form v-if="maySign" class="fields sign" @submit.prevent="sign">
          <SelectField v-model="signing.verdict" label="Sign as technician" :choices="signs" />
          <div>
            <label :for="`${id}-signnote`">Note</label>
            <InputText :id="`${id}-signnote`" v-model="signing.note" maxlength="200" />
          </div>
          <Button type="submit" label="Sign" />
        </form>
      </template>
    </div>
  </li>
</template>

<style scoped>
li {
  container-type: inline-size;
  border-bottom: var(--line) solid var(--hairline);
}

li.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  align-items: baseline;
  gap: 2px 14px;
  width: 100%;
  min-height: 48px;
  padding: 8px 14px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

strong {
  font: 700 17px var(--slab);
}

.gone strong {
  color: var(--soft);
}

.first {
  padding-inline: 6px;
  border: 1px solid var(--brick);
  color: var(--brick);
  font-size: 14px;
}

.note {
  grid-column: 1 / -1;
}

.body {
  display: grid;
  gap: 10px;
  padding: 2px 16px 16px;
}

.waits {
  padding: 0 14px 8px;
}

.proposed {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding-left: 12px;
  border-left: 3px solid var(--amber);
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.sign {
  padding-top: 10px;
  border-top: var(--line) solid var(--hairline);
}

/* By its own width: on a tablet the list stands beside the drawing. */
@container (width < 620px) {
  .head {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
