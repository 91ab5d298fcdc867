<script setup lang="ts">
import type { Routes } from '../../base/api/routes.ts';
import type { AnswerOf } from '@fair-gable/core/base/contract';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { onMounted, ref } from 'vue';
import { type Role, roles, roleWords } from '@fair-gable/core/base/rights';
import { type YardPerson } from '@fair-gable/core/yard/people';
import SelectField from '../../base/controls/SelectField.vue';
import { ask } from '../../base/api/client.ts';
import { when } from '../../base/clock/index.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';
import RoleChoice from './RoleChoice.vue';

/** The people of the yard: taken on, given a role, helped back in, taken off. */
type Link = AnswerOf<Routes['POST /api/people/:id/link']>;

const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const people = ref<readonly YardPerson[]>([]);
const link = ref<{ readonly name: string; readonly address: string; readonly until: string }>();
const { draft: given, keepWith } = useDraft({
  place: () => 'settings.people.new',
  what: () => 'Somebody to invite',
  fresh: () => ({ name: '', email: '', role: 'specialist' as Role }),
});
const list = useAttempt();
const adding = useAttempt();
const choices = roles.map((role) => ({ key: role, label: role }));

const read = async (): Promise<void> => {
  people.value = (await ask('GET /api/people')).people;
  emit('changed');
};
onMounted(() => list.attempt(read, ''));

const show = (name: string, { token, until }: Link): void => {
  link.value = { name, address: `${window.location.origin}/password#${token}`, until };
};

const add = (): Promise<boolean> =>
  keepWith(() =>
    adding.attempt(async () => {
      link.value = undefined;
      const { link: made } = await ask('POST /api/people', { body: { ...given.value } });
      show(given.value.name, made);
      await read();
    }, 'Invited. They’re in once they open the link.'),
  );

const setRole = (person: YardPerson, role: Role): Promise<boolean> =>
  list.attempt(async () => {
    await ask('PUT /api/people/:id', { params: { id: person.id }, body: { role } }).finally(read);
    if (person.id === session.session?.person.id) await session.reload();
  }, `${person.name} is ${role} now.`);

const makeLink = (person: YardPerson): Promise<boolean> =>
  list.attempt(async () => {
    show(person.name, await ask('POST /api/people/:id/link', { params: { id: person.id } }));
    emit('changed');
  }, '');

const remove = async (person: YardPerson): Promise<void> => {
  const question = person.ready
    ? `Remove ${person.name} from this yard? What they recorded stays. They’re signed out here right away.`
    : `Cancel ${person.name}’s invitation? Its link stops working.`;
  if (!window.confirm(question)) return;
  await list.attempt(
    async () => {
      await ask('DELETE /api/people/:id', { params: { id: person.id } });
      await read();
    },
    person.ready ? `${person.name} is removed from this yard.` : 'Canceled.',
  );
};
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title">People on this yard</h2>
    <ul>
      <li v-for="person in people" :key="person.id" :data-person="person.name">
        <div class="who">
          <strong>{{ person.name }}</strong>
          <span class="small soft"
            >{{ person.email
            }}<template v-if="!person.ready"> · invited, has not accepted yet</template></span
          >
        </div>
        <RoleChoice
          :person="person"
          :deciding="list.busy.value"
          @give="(role) => setRole(person, role)"
        />
        <div class="deeds">
          <button type="button" class="plain" @click="makeLink(person)">
            {{ person.ready ? 'Password link' : 'New link' }}
            <span class="visually-hidden">for {{ person.name }}</span>
          </button>
          <button
            v-if="person.id !== session.session?.person.id"
            type="button"
            class="plain"
            @click="remove(person)"
          >
            Remove <span class="visually-hidden">{{ person.name }}</span>
          </button>
        </div>
      </li>
    </ul>
    <FormNews :done="list.done.value" :problem="list.problem.value" />
    <div v-if="link" class="link" role="status">
      <p>
        Give this to <strong>{{ link.name }}</strong> and nobody else. It works once, until
        {{ when(link.until) }}.
      </p>
      <code>{{ link.address }}</code>
    </div>
    <form @submit.prevent="add">
      <h3>Invite somebody</h3>
      <div class="field">
        <label for="new-name">Their name</label>
        <InputText id="new-name" v-model="given.name" autocomplete="off" maxlength="80" required />
      </div>
      <div class="field">
        <label for="new-email">Their e-mail</label>
        <InputText
          id="new-email"
          v-model="given.email"
          type="email"
          autocomplete="off"
          :invalid="adding.field.value === 'email'"
          required
        />
      </div>
      <SelectField v-model="given.role" class="field" label="Role" :choices="choices">
        <span class="small soft">A {{ given.role }} {{ roleWords[given.role] }}.</span>
      </SelectField>
      <div>
        <Button type="submit" severity="secondary" label="Invite" :loading="adding.busy.value" />
      </div>
      <FormNews :done="adding.done.value" :problem="adding.problem.value" />
    </form>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px;
  align-items: center;
  gap: 2px 12px;
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
}

.who {
  display: grid;
}

.deeds {
  display: flex;
  grid-column: 1 / -1;
  gap: 18px;
  font-size: 15px;
}

.link {
  display: grid;
  gap: 6px;
  padding: 2px 0 2px 14px;
  border-left: 3px solid var(--spruce);
}

code {
  overflow-wrap: anywhere;
  font-size: 15px;
  user-select: all;
}

h3 {
  font-size: 17px;
}
</style>
