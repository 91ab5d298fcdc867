<script setup lang="ts">
import type { YardUnit } from '@fair-gable/core/unit/record';
import { useSession } from '../../base/session/session.ts';
import NumbersDesk from './NumbersDesk.vue';
import { useTrial } from './trial.ts';
import SavedTrials from './SavedTrials.vue';

/** A unit's numbers: the buyer's questions answered from its own record, and what is tried. */
const props = defineProps<{ unit: YardUnit; question?: string | undefined }>();
const session = useSession();
const { trial, set, reset } = useTrial(() => props.unit.id);
const to = (question: string) => ({ name: 'numbers', params: { id: props.unit.id, question } });
</script>

<template>
  <NumbersDesk
    :unit="unit.id"
    :record="unit.record"
    :trial="trial"
    :question="question"
    :to="to"
    @set="set"
    @reset="reset"
  >
    <template #below="{ question: here }">
      <SavedTrials
        :unit="unit"
        :question="here"
        :trial="trial"
        :system="session.system"
        @open="set"
      />
    </template>
  </NumbersDesk>
</template>
