<script setup lang="ts">
import Select from 'primevue/select';
import { roles, type Role } from '@fair-gable/core/base/rights';
import { useShown } from '../../base/controls/shown.ts';
import type { YardPerson } from '@fair-gable/core/yard/people';

/** The role of somebody who is on the yard. */
const props = defineProps<{ person: YardPerson; deciding: boolean }>();
const emit = defineEmits<{ give: [role: Role] }>();
const choices = roles.map((role) => ({ key: role, label: role }));
const shown = useShown(
  () => props.person.role,
  () => props.deciding,
);
</script>

<template>
  <Select
    v-model="shown"
    :options="choices"
    option-label="label"
    option-value="key"
    :aria-label="`Role of ${person.name}`"
    @update:model-value="(role: Role) => emit('give', role)"
  />
</template>
