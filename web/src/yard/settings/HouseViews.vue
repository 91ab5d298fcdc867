<script setup lang="ts">
import Button from 'primevue/button';
import { features, schools, specs, type SchoolKey } from '@fair-gable/core/unit/catalog';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import { ask } from '../../base/api/client.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/** Which side the yard takes where practitioners disagree; it is then named first beside the feature. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const { busy, done, problem, attempt } = useAttempt();

/** Those that stand beside a field or on a bench today; a view on the others would be seen nowhere. */
const onBenches: readonly SchoolKey[] = ['tow-margin'];
const told = new Set([...[...specs, ...features].map((entry) => entry.school), ...onBenches]);
const offered = schools.filter(({ key }) => told.has(key));

const { draft: views, keepWith } = useDraft<Partial<Record<SchoolKey, string>>>({
  place: () => 'settings.views',
  what: () => 'House views',
  fresh: () => ({ ...session.session?.yard.houseViews }),
});
const choicesOf = (key: SchoolKey) => [
  { key: '', label: 'no view' },
  ...(schools.find((s) => s.key === key)?.sides ?? []),
];
const set = (key: SchoolKey, side: string): void => {
  const others = Object.fromEntries(Object.entries(views.value).filter(([one]) => one !== key));
  views.value = side ? { ...others, [key]: side } : others;
};

const keep = (): Promise<boolean> =>
  keepWith(() =>
    attempt(async () => {
      const yard = session.session?.yard;
      if (!yard) return;
      const { name, system } = yard;
      await ask('PUT /api/yard', { body: { name, system, houseViews: { ...views.value } } });
      await session.reload();
      emit('changed');
    }, 'Saved for everybody on this yard.'),
  );
</script>

<template>
  <section aria-labelledby="views-title">
    <h2 id="views-title">House views</h2>
    <p class="small soft">
      Both sides show next to the feature. If the yard has a view, it comes first, as ours.
    </p>
    <details>
      <summary>{{ Object.keys(views).length }} of {{ offered.length }} taken</summary>
      <form @submit.prevent="keep">
        <div v-for="school in offered" :key="school.key" class="view" :data-view="school.key">
          <label :id="`view-${school.key}`">{{ school.about }}</label>
          <ChoiceList
            :model-value="views[school.key] ?? ''"
            :choices="choicesOf(school.key)"
            placeholder="no view"
            :aria-labelledby="`view-${school.key}`"
            @update:model-value="(side) => set(school.key, side)"
          />
        </div>
        <div>
          <Button type="submit" severity="secondary" label="Save views" :loading="busy" />
        </div>
        <FormNews :done="done" :problem="problem" />
      </form>
    </details>
  </section>
</template>

<style scoped>
summary {
  display: flex;
  align-items: center;
  min-height: 44px;
  font-weight: 600;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

form {
  display: grid;
  gap: 10px;
}

.view {
  display: grid;
  gap: 3px;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--hairline);
}

label {
  font-weight: 600;
}
</style>
