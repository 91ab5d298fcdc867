import { defineStore } from 'pinia';
import { ref } from 'vue';

/** How long it stands, milliseconds: long enough to be read at a glance. */
const stands = 6000;

/** What was just done, said once, at the head of the page and to a screen reader. */
export const useNews = defineStore('news', () => {
  const text = ref('');
  let timer: ReturnType<typeof setTimeout> | undefined;
  const show = (words: string): void => {
    clearTimeout(timer);
    text.value = words;
    timer = setTimeout(() => void (text.value = ''), stands);
  };
  return { text, show };
});
