import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { useIntervalFn } from '@vueuse/core';

/** The longest a memo goes on, seconds; then it stops by itself. */
export const longestMemo = 120;

const refused =
  'We can’t use the microphone. Allow it in the browser’s settings, or type a few words.';

/** Speech, small: a minute is some 200 kB. */
const bitsPerSecond = 24_000;

/** Records what is said into the phone, by the browser’s own recorder; nothing leaves the device here. */
export const useSpeaking = () => {
  const canSpeak = 'MediaRecorder' in globalThis && 'mediaDevices' in navigator;
  const blob = shallowRef<Blob>();
  const problem = ref('');
  const seconds = ref(0);
  const recorder = shallowRef<MediaRecorder>();
  const isOn = computed(() => recorder.value !== undefined);
  const url = computed(() => blob.value && URL.createObjectURL(blob.value));

  const stop = (): void => recorder.value?.stop();
  const ticking = useIntervalFn(
    () => {
      seconds.value++;
      if (seconds.value >= longestMemo) stop();
    },
    1000,
    { immediate: false },
  );

  const start = async (): Promise<void> => {
    problem.value = '';
    blob.value = undefined;
    seconds.value = 0;
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const made = new MediaRecorder(stream, { audioBitsPerSecond: bitsPerSecond });
      const pieces: Blob[] = [];
      made.addEventListener('dataavailable', ({ data }) => pieces.push(data));
      made.addEventListener('stop', () => {
        for (const track of stream.getTracks()) track.stop();
        blob.value = new Blob(pieces, { type: made.mimeType });
        recorder.value = undefined;
        ticking.pause();
      });
      made.start();
      recorder.value = made;
      ticking.resume();
    } catch {
      problem.value = refused;
    }
  };

  const drop = (): void => {
    blob.value = undefined;
  };
  onScopeDispose(() => {
    stop();
    if (url.value) URL.revokeObjectURL(url.value);
  });
  return { canSpeak, isOn, seconds, blob, url, problem, start, stop, drop };
};
