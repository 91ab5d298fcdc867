<script setup lang="ts">
import type { YardUnit } from '@fair-gable/core/unit/record';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Textarea from 'primevue/textarea';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { pointsOf } from '@fair-gable/core/show/cards';
import { riskyIn } from '@fair-gable/core/show/claims';
import type { WalkLog, WalkPlan } from '@fair-gable/core/show/walk';
import { briefIn } from '@fair-gable/core/yard/summary';
import {
  draftLetter,
  type Buyer,
  type FollowUp,
  type KeptLetter,
} from '@fair-gable/core/yard/follow-up';
import { ask } from '../../base/api/client.ts';
import { when } from '../../base/clock/index.ts';
import { useDraft } from '../../base/draft/index.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useSession } from '../../base/session/session.ts';
import { usePresenting } from '../../show/plan/presenting.ts';
import { useUnits } from '../../unit/units/units.ts';

/** A message to the buyer, drafted from what they liked and asked; read and sent by a person. */
const props = defineProps<{
  unit: YardUnit;
  plan: WalkPlan;
  log: WalkLog;
  buyer: Buyer;
  followUps: readonly FollowUp[];
}>();
const session = useSession();
const units = useUnits();
const presenting = usePresenting();
const letters = shallowRef<readonly KeptLetter[]>([]);
const { busy, done, problem, attempt } = useAttempt();

const load = async (): Promise<void> => {
  letters.value = (await ask('GET /api/letters', { query: { walk: props.plan.id } })).letters;
};
onMounted(() => void load().catch(() => undefined));

const withPrice = ref(false);
const drafted = computed(() =>
  draftLetter({
    walk: props.plan.id,
    record: props.unit.record,
    log: props.log,
    points: pointsOf(props.unit.record, { ...presenting(props.unit.record), operates: true }),
    followUps: props.followUps,
    buyer: props.buyer.name,
    from: session.session?.person.name ?? '',
    yard: session.session?.yard.name ?? '',
    system: session.system,
    withPrice: withPrice.value,
  }),
);
/** What is drafted follows what is known until somebody writes in it. */
const {
  draft,
  isTyped: isOwn,
  clear: again,
  keepWith,
} = useDraft({
  place: () => `walk.${props.plan.id}.letter`,
  what: () => 'A message to the buyer',
  fresh: () => ({ subject: drafted.value.subject, text: drafted.value.text }),
});
const isOpen = ref(isOwn.value);
const claims = computed(() =>
  riskyIn(draft.value.text, {
    record: props.unit.record,
    stock: units.list.filter(({ id }) => id !== props.unit.id).map(briefIn),
    system: session.system,
  }),
);
const hasPrice = computed(() => props.unit.record.specs.askingPrice !== undefined);

/** One letter however often it is pressed: it keeps its id until it has gone, or says something else. */
let tried = { id: crypto.randomUUID(), said: '' };
const idOf = (said: string): string => {
  if (tried.said !== said) tried = { id: crypto.randomUUID(), said };
  return tried.id;
};
const send = async (): Promise<void> => {
  let sent: KeptLetter | undefined;
  const id = idOf(JSON.stringify(draft.value));
  const letter = { id, walk: props.plan.id, ...draft.value };
  const putting = async (): Promise<void> => {
    sent = await ask('PUT /api/letters/:id', { params: { id: letter.id }, body: letter });
    await load();
  };
  if (!(await keepWith(() => attempt(putting, '')))) return;
  if (!sent?.sentAt) {
    problem.value = 'The mail isn’t taking it right now. It’s saved here; send it again later.';
    return;
  }
  done.value = `Sent to ${sent.to}.`;
  tried = { id: crypto.randomUUID(), said: '' };
  isOpen.value = false;
};
</script>

<template>
  <section aria-labelledby="letter-title">
    <h3 id="letter-title">Message to {{ buyer.name }}</h3>
    <ul v-if="letters.length" class="sent">
      <li v-for="letter in letters" :key="letter.id">
        <details>
          <summary>
            {{ letter.subject }}
            <small class="soft">{{
              letter.sentAt ? `sent ${when(letter.sentAt)}, ${letter.by}` : 'waiting to be sent'
            }}</small>
          </summary>
          <pre>{{ letter.text }}</pre>
        </details>
      </li>
    </ul>
    <p v-if="!buyer.email" class="soft">
      {{ buyer.name }} left no e-mail. Call {{ buyer.phone }}, and check off what you told them.
    </p>
    <Button
      v-else-if="!isOpen"
      severity="secondary"
      label="Draft a message"
      class="open"
      @click="isOpen = true"
    />
    <form v-else @submit.prevent="send">
      <label for="letter-subject">Subject</label>
      <InputText id="letter-subject" v-model="draft.subject" maxlength="120" />
      <label for="letter-text">Message</label>
      <Textarea id="letter-text" v-model="draft.text" rows="16" maxlength="8000" />
      <ul v-if="claims.length" class="claims">
        <li v-for="claim in claims" :key="claim.at">
          “{{ claim.words }}”: {{ claim.because }} {{ claim.instead }}
        </li>
      </ul>
      <label v-if="hasPrice && session.may('see-prices')" class="price">
        <ToggleSwitch v-model="withPrice" />
        With the asking price
      </label>
      <div class="buttons">
        <Button type="submit" :label="`Send it to ${buyer.email}`" :loading="busy" />
        <Button
          v-if="isOwn"
          type="button"
          severity="secondary"
          label="Draft it again"
          @click="again"
        />
        <Button type="button" severity="secondary" label="Not now" @click="isOpen = false" />
      </div>
    </form>
    <FormNews :done="done" :problem="problem" />
    <p v-if="session.session?.yard.demo" class="small soft">
      In the demo nothing leaves this machine: messages stay in the yard’s outbox.
    </p>
  </section>
</template>

<style scoped>
h3 {
  padding: 22px 0 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 16px;
}

.open {
  margin-top: 10px;
}

form {
  display: grid;
  gap: 6px;
  padding-top: 8px;
}

form label {
  font-weight: 600;
}

.price {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 48px;
}

.claims li {
  margin-top: 6px;
  padding-left: 12px;
  border-left: 3px solid var(--brick);
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.sent summary {
  min-height: 40px;
  padding-top: 8px;
  cursor: pointer;
}

pre {
  margin: 0;
  padding: 8px 0 12px;
  font: inherit;
  white-space: pre-wrap;
}
</style>
