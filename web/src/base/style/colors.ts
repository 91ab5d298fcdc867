import { ref, watch, type Ref } from 'vue';
import { useMode } from './mode.ts';

/** Colors of the page by purpose, for what is drawn on a canvas. */
export interface Colors {
  readonly ink: string;
  readonly spruce: string;
  readonly amber: string;
  readonly soft: string;
  readonly sand: string;
  /** Spruce, to be seen through. */
  readonly band: string;
  /** The family that is not for names. */
  readonly font: string;
}

const none: Colors = { ink: '', spruce: '', amber: '', soft: '', sand: '', band: '', font: '' };

/** The page's own colors, and again when the mode changes. */
export const useColors = (): Readonly<Ref<Colors>> => {
  const mode = useMode();
  const colors = ref<Colors>(none);
  watch(
    () => mode.shown,
    () => {
      const style = getComputedStyle(document.documentElement);
      const of = (name: string): string => style.getPropertyValue(name).trim();
      colors.value = {
        ink: of('--ink'),
        spruce: of('--spruce'),
        amber: of('--amber'),
        soft: of('--soft'),
        sand: of('--sand'),
        band: `${of('--spruce')}26`,
        font: of('--plain'),
      };
    },
    { immediate: true, flush: 'post' },
  );
  return colors;
};
