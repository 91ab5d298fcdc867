<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { formatDate } from '@fair-gable/core/base/dates';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import {
  changesToFit,
  fittedHere,
  fittedPounds,
  leftToLabel,
  looseItems,
  type LooseItem,
} from '@fair-gable/core/unit/aboard';
import {
  featureEntry,
  isFeatureKey,
  stateLabel,
  statesOf,
  type FeatureState,
} from '@fair-gable/core/unit/catalog';
import { sides, byWhom, type YardUnit } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { featureChoices } from '../../base/controls/field-choices.ts';
import SelectField from '../../base/controls/SelectField.vue';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useSaving } from '../record/saving.ts';
import { typedFitted, type FittedDraft } from './typed-fitted.ts';
import {
  stowingChange,
  stowingText,
  withoutStowing,
  withStowing,
  type StowingDraft,
} from './typed-stowing.ts';

/** What goes with a unit: loose items and where they are kept; and the ledger of what the yard fitted. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const mayWrite = computed(() => session.may('record'));
const record = computed(() => props.unit.record);

const items = computed(() => looseItems(record.value));
const fitted = computed(() => fittedHere(record.value));
const total = computed(() => fittedPounds(record.value));
const toLine = computed(() => leftToLabel(record.value));
const { problem, save } = useSaving(() => props.unit.id);
const { draft: stowing } = useDraft({
  place: () => `${props.unit.id}.stowed`,
  what: () => 'Where loose items are stowed',
  fresh: (): StowingDraft => ({}),
});

const tick = ({ feature }: LooseItem, state: FeatureState): Promise<boolean> =>
  save(
    [
      {
        part: 'features',
        key: feature.key,
        value: { state },
        how: 'seen',
        basedOn: record.value.features[feature.key]?.version ?? 0,
      },
    ],
    inText(feature.label),
  );

type Key = LooseItem['feature']['key'];
const type = (key: Key, text: string): void => {
  stowing.value = withStowing(stowing.value, record.value, key, text);
};
const stow = async ({ feature: { key, label } }: LooseItem): Promise<void> => {
  const change = stowingChange(stowing.value, record.value, key);
  const isKept = !change || (await save([change], `where ${inText(label)} is stowed`));
  if (isKept) stowing.value = withoutStowing(stowing.value, key);
};

const wordFor = ({ feature, state }: LooseItem): string =>
  state === undefined ? 'not checked' : stateLabel(state, feature.kind);

const clock = useClock();
const { draft: line, keepWith } = useDraft({
  place: () => `${props.unit.id}.fitted.new`,
  what: () => 'What we added',
  fresh: (): FittedDraft => ({
    what: '',
    feature: null,
    weight: '',
    back: '',
    on: clock.today,
    side: undefined,
  }),
});
const fit = async (): Promise<void> => {
  const value = typedFitted(line.value, session.system);
  problem.value = typeof value === 'string' ? value : '';
  if (typeof value === 'string') return;
  const changes = changesToFit(record.value, crypto.randomUUID(), value);
  await keepWith(() => save(changes, `${value.what} fitted`));
};
const strike = (id: string): Promise<boolean> =>
  save(changesToFit(record.value, id, null), 'line of the ledger struck');
</script>

<template>
  <section aria-labelledby="aboard-title">
    <header class="page-head">
      <h2 id="aboard-title">What’s in it</h2>
      <p class="soft">
        {{ items.filter(({ isHere }) => isHere).length }} of {{ items.length }} loose items here; we
        added {{ formatQuantity(total, 'weight', session.system) }}
      </p>
    </header>
    <p v-if="problem" class="page-part wrong" role="alert">{{ problem }}</p>
    <div class="columns">
      <section aria-label="Loose items">
        <h3>Loose items and where they’re stowed</h3>
        <ul>
          <li v-for="item in items" :key="item.feature.key" :data-loose="item.feature.key">
            <strong>{{ item.feature.label }}</strong>
            <span
              v-if="!mayWrite || item.state === undefined"
              class="small status"
              :class="item.state === undefined || item.isHere ? 'soft' : 'amber'"
              >{{ wordFor(item) }}</span
            >
            <div v-if="mayWrite" class="ticks" role="group" :aria-label="item.feature.label">
              <button
                v-for="choice in statesOf(item.feature.kind)"
                :key="choice.key"
                type="button"
                :aria-pressed="item.state === choice.key"
                @click="tick(item, choice.key)"
              >
                {{ choice.label }}
              </button>
            </div>
            <InputText
              v-if="item.isHere && mayWrite"
              :model-value="stowingText(stowing, item.feature.key) ?? item.where ?? ''"
              :aria-label="`Where ${inText(item.feature.label)} is stowed`"
              placeholder="stowed where?"
              maxlength="120"
              @update:model-value="(text) => type(item.feature.key, text ?? '')"
              @change="stow(item)"
            />
            <span v-else-if="item.where" class="small">{{ item.where }}</span>
          </li>
        </ul>
      </section>
      <section aria-label="Added here">
        <h3>Added here</h3>
        <p class="small soft">
          What we add before the first sale counts against the weight label. Past the lesser of 100
          lb or 1.5% of GVWR, the label has to be corrected (49 CFR 571.110 S10, from memory; go by
          the label and the law).
        </p>
        <p v-if="toLine !== undefined" :class="{ wrong: toLine < 0 }">
          {{
            toLine < 0
              ? `${formatQuantity(-toLine, 'weight', session.system)} over the limit: correct the weight label before it’s sold.`
              : `${formatQuantity(toLine, 'weight', session.system)} left before the weight label must be corrected.`
          }}
        </p>
        <p v-if="fitted.length === 0" class="none">Nothing’s been added here yet.</p>
        <ul>
          <li v-for="{ id, fitted: one, entry } in fitted" :key="id" class="line">
            <strong>{{ one.what }}</strong>
            <span class="number">{{ formatQuantity(one.weight, 'weight', session.system) }}</span>
            <span class="small soft">
              {{ formatDate(one.on) }}, {{ byWhom(entry) }}
              <template v-if="one.back !== undefined">
                · {{ formatQuantity(one.back, 'feet', session.system) }} back
              </template>
              <template v-if="one.feature && isFeatureKey(one.feature)"
                >· {{ inText(featureEntry(one.feature).label) }}</template
              >
            </span>
            <button v-if="mayWrite" type="button" class="plain small" @click="strike(id)">
              delete
            </button>
          </li>
        </ul>
        <form v-if="mayWrite" class="fields" @submit.prevent="fit">
          <div>
            <label for="fit-what">What</label>
            <InputText id="fit-what" v-model="line.what" maxlength="80" />
          </div>
          <div>
            <label for="fit-weight">Weight</label>
            <InputText id="fit-weight" v-model="line.weight" inputmode="decimal" class="short" />
          </div>
          <div>
            <label for="fit-back">Back from the coupler</label>
            <InputText id="fit-back" v-model="line.back" class="short" />
          </div>
          <SelectField
            v-model="line.side"
            label="Side"
            placeholder="not said"
            :choices="sides"
            clearable
          />
          <div>
            <label for="fit-on">On</label>
            <InputText id="fit-on" v-model="line.on" type="date" max="9999-12-31" />
          </div>
          <SelectField
            v-model="line.feature"
            label="Which feature it is"
            :choices="featureChoices"
            filter
            clearable
            placeholder="none of them"
          />
          <Button
            type="submit"
            label="Add to the list"
            :disabled="!line.what.trim() || !line.weight.trim() || !line.on"
          />
        </form>
      </section>
    </div>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 32px;
  padding: 14px 24px 40px;
}

h3 {
  padding-bottom: 6px;
  font-size: 18px;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 12px;
  min-height: 48px;
  padding: 8px 0;
  border-bottom: var(--line) solid var(--hairline);
}

li strong {
  font-weight: 600;
}

.ticks {
  display: flex;
  flex-wrap: wrap;
  grid-row: 1 / span 2;
  grid-column: 2;
  justify-content: flex-end;
  gap: 6px;
}

.ticks button {
  min-height: 44px;
  padding: 2px 12px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--leaf);
  cursor: pointer;
}

.ticks button[aria-pressed='true'] {
  border: 2px solid var(--ink);
  font-weight: 700;
}

.plain {
  min-height: 32px;
  border: 0;
  background: none;
  text-decoration: underline;
  cursor: pointer;
}

.none {
  padding: 10px 0;
}

form {
  padding-top: 14px;
}

.short {
  width: 8rem;
}

@media (width < 900px) {
  .columns {
    grid-template-columns: 1fr;
    padding-inline: 16px;
  }
}
</style>
