import { mount, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import PrimeVue from 'primevue/config';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';

const nothing = { template: '<div />' };
/** What a row holds that asks the server or the device: tested where it is. */
const stubs = { PhotoStrip: true, FieldHelp: true, FieldHistory: true, RouterLink: true };

/** A component on a page of its own, in the document, so that it has a focus. */
export const onPage = (
  component: Component,
  props: Record<string, unknown>,
  slots: Record<string, string> = {},
): VueWrapper => {
  const pinia = createPinia();
  setActivePinia(pinia);
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: nothing }],
  });
  const global = { plugins: [pinia, router, PrimeVue], stubs };
  return mount(component as never, { props, slots, global, attachTo: document.body } as never);
};

/** The button of that name. */
export const button = (page: VueWrapper, name: string | RegExp) => {
  const found = page
    .findAll('button')
    .find((b) => (typeof name === 'string' ? b.text() === name : name.test(b.text())));
  if (!found) throw new Error(`There is no button “${String(name)}”.`);
  return found;
};

export const buttonNames = (page: VueWrapper): string[] =>
  page.findAll('button').map((b) => b.text());
