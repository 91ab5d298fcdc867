<script setup lang="ts">
import Button from 'primevue/button';
import Textarea from 'primevue/textarea';
import { ref, useId } from 'vue';
import { useRoute } from 'vue-router';
import { inText } from '@fair-gable/core/base/words';
import { specEntry } from '@fair-gable/core/unit/catalog';
import type { Objection, Way } from '@fair-gable/core/unit/checks';
import { useDraft } from '../../base/draft/index.ts';

/** What a check has to say, beside the row it concerns, with the ways to settle it as buttons. */
const props = defineProps<{
  objection: Objection;
  mayWrite: boolean;
  problem: string;
  /** Lets it stand for a reason; false where that was refused. Left out where no reason is stated. */
  settle?: (objection: Objection, reason: string) => Promise<boolean>;
}>();
const emit = defineEmits<{
  enter: [objection: Objection, way: Extract<Way, { kind: 'enter' }>];
  go: [way: Extract<Way, { kind: 'go' }>];
  reopen: [objection: Objection];
}>();

const route = useRoute();
const id = useId();
const { draft, isTyped, keepWith } = useDraft({
  place: () => `${route.params['id'] ?? ''}.reason.${props.objection.id}`,
  what: () => `Why it’s right: ${inText(props.objection.title)}`,
  fresh: () => ({ reason: '' }),
});
const reasoning = ref(isTyped.value);

const keepReason = async (reason: string): Promise<boolean> => {
  const isKept = (await props.settle?.(props.objection, reason)) ?? false;
  if (isKept) reasoning.value = false;
  return isKept;
};

const take = (way: Way): void => {
  if (way.kind === 'enter') emit('enter', props.objection, way);
  if (way.kind === 'go') emit('go', way);
  if (way.kind !== 'reason') return;
  if (way.suggested) void keepReason(way.suggested);
  else reasoning.value = true;
};

const settleTyped = (): void => {
  const reason = draft.value.reason.trim();
  if (reason.length < 3) return;
  void keepWith(() => keepReason(reason));
};
</script>

<template>
  <article v-if="objection.settled" class="note settled" :data-check="objection.id">
    <h3>{{ objection.title }}</h3>
    <p class="small">Accepted by {{ objection.settled.by }}: “{{ objection.settled.reason }}”</p>
    <button v-if="mayWrite" type="button" class="plain" @click="emit('reopen', objection)">
      Reopen
    </button>
  </article>
  <article v-else class="note" :class="objection.severity" :data-check="objection.id">
    <h3>{{ objection.title }}</h3>
    <p>{{ objection.sentence }}</p>
    <p v-if="objection.guesses.length" class="small soft guesses">
      Based on an estimate:
      {{ objection.guesses.map((key) => inText(specEntry(key).label)).join(', ') }}.
    </p>
    <form v-if="reasoning" class="reason" @submit.prevent="settleTyped">
      <label :for="id" class="small soft">Why are the numbers right?</label>
      <Textarea :id="id" v-model="draft.reason" rows="3" maxlength="500" autofocus />
      <div class="ways">
        <Button type="submit" label="Accept it" :disabled="draft.reason.trim().length < 3" />
        <Button type="button" severity="secondary" label="Back" @click="reasoning = false" />
      </div>
    </form>
    <div v-else-if="mayWrite" class="ways">
      <Button
        v-for="(way, i) in objection.ways"
        :key="way.label"
        :label="way.label"
        :severity="i === 0 ? undefined : 'secondary'"
        size="small"
        @click="take(way)"
      />
    </div>
    <p v-if="problem" class="small wrong" role="alert">{{ problem }}</p>
  </article>
</template>

<style scoped>
.note {
  position: relative;
  display: grid;
  gap: 6px;
  padding: 2px 0 2px 16px;
  border-left: 3px solid var(--amber);
}

.note::before {
  position: absolute;
  top: 12px;
  left: -27px;
  width: 24px;
  border-top: 1px solid currentcolor;
  color: var(--amber);
  content: '';
}

.note.wrong {
  color: inherit;
  border-color: var(--brick);
}

.note.wrong::before {
  color: var(--brick);
}

.note.look {
  border-color: var(--spruce);
}

.note.look::before {
  color: var(--spruce);
}

.note.settled {
  border-left: 1px solid var(--hairline);
  color: var(--soft);
}

.note.settled::before {
  display: none;
}

h3 {
  font: 700 16px/1.3 var(--plain);
}

p {
  font-size: 15px;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 2px;
}

.ways :deep(.p-button) {
  text-align: left;
}

.reason {
  display: grid;
  gap: 4px;
}

.plain {
  justify-self: start;
  min-height: 32px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  cursor: pointer;
}

@media (width < 1100px) {
  .note::before {
    display: none;
  }

  .ways :deep(.p-button) {
    min-height: 44px;
  }
}
</style>
