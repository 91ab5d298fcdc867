<script setup lang="ts">
import { Mic, Square, Trash2 } from '@lucide/vue';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import type { Point } from '@fair-gable/core/show/cards';
import { clock } from '@fair-gable/core/show/walk';
import { useDraft } from '../../base/draft/index.ts';
import { longestMemo, useSpeaking } from './speaking.ts';

/** Words to a mark: typed, or spoken into the phone; either may be left out. */
const props = defineProps<{
  /** What is often said of this model, and the answers, to have at hand when somebody asks. */
  answers: readonly Point[];
  /** Of which card and mark. */
  place: string;
}>();
const emit = defineEmits<{ keep: [words: string, spoken: Blob | undefined] }>();
const { draft } = useDraft({
  place: () => props.place,
  what: () => 'A note on a walk',
  fresh: () => ({ note: '' }),
});
/** The words stay a draft until they are written down: a full device would lose them. */
const keep = (): void => emit('keep', draft.value.note.trim(), blob.value);
const speaking = useSpeaking();
const { isOn, seconds, blob, url, problem } = speaking;
</script>

<template>
  <form @submit.prevent="keep">
    <label for="note">In a few words, if you like</label>
    <InputText id="note" v-model="draft.note" maxlength="500" autocomplete="off" autofocus />
    <template v-if="speaking.canSpeak">
      <button v-if="isOn" type="button" class="speak on" @click="speaking.stop">
        <Square aria-hidden="true" />Stop at {{ clock(seconds * 1000) }}
      </button>
      <div v-else-if="blob" class="spoken">
        <audio controls :src="url" aria-label="What you said" />
        <button type="button" class="icon" aria-label="Delete the recording" @click="speaking.drop">
          <Trash2 aria-hidden="true" />
        </button>
      </div>
      <button v-else type="button" class="speak" @click="speaking.start">
        <Mic aria-hidden="true" />Say it instead
        <span class="small soft">up to {{ longestMemo / 60 }} min, kept here until it’s sent</span>
      </button>
    </template>
    <div v-if="answers.length" class="answers">
      <details v-for="answer in answers" :key="answer.id">
        <summary>{{ answer.asked }}</summary>
        <p>{{ answer.sentence }}</p>
      </details>
    </div>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <Button type="submit" label="Save" :disabled="isOn" />
  </form>
</template>

<style scoped>
.speak {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  min-height: 56px;
  padding: 4px 14px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--paper);
  font-size: 17px;
  text-align: left;
  cursor: pointer;
}

.on {
  border: 2px solid var(--brick);
  font-weight: 700;
}

.spoken {
  display: flex;
  gap: 8px;
  align-items: center;
}

audio {
  flex: 1;
  min-width: 0;
  height: 48px;
}

summary {
  min-height: 44px;
  padding-top: 10px;
  font-size: 17px;
  cursor: pointer;
}

.answers p {
  padding: 0 0 10px 16px;
  font: 600 19px/1.3 var(--slab);
}

.icon {
  display: grid;
  place-items: center;
  width: 48px;
  height: 48px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--paper);
  cursor: pointer;
}
</style>
