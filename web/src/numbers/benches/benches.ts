import type { Component } from 'vue';
import type { QuestionKey } from '@fair-gable/core/unit/record';
import LabelBench from './LabelBench.vue';
import LoadBench from './LoadBench.vue';
import NightsBench from './NightsBench.vue';
import ScaleBench from './ScaleBench.vue';
import TowBench from './TowBench.vue';
import TiresBench from './TiresBench.vue';

/** Where each question is tried. */
export const benches: Readonly<Record<QuestionKey, Component>> = {
  load: LoadBench,
  tow: TowBench,
  nights: NightsBench,
  tires: TiresBench,
  label: LabelBench,
  scale: ScaleBench,
};
