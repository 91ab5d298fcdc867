import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';

const ink = '#1c2b2a';
const paper = '#f7f4ec';
const leaf = '#fffdf7';
const edge = '#8c8672';

const spruce = {
  50: '#eaf2ef',
  100: '#cfe1dc',
  200: '#a5c8bf',
  300: '#76aa9d',
  400: '#468a7a',
  500: '#1e5b4f',
  600: '#1a5045',
  700: '#16443b',
  800: '#123831',
  900: '#0e2c27',
  950: '#091d1a',
};

const quiet = {
  background: leaf,
  hoverBackground: '#f0ecdf',
  activeBackground: '#e4dfd0',
  borderColor: ink,
  hoverBorderColor: ink,
  activeBorderColor: ink,
  color: ink,
  hoverColor: ink,
  activeColor: ink,
};

/** Paper and ink for PrimeVue: no component keeps the library's own look. */
export const fieldNotebook = definePreset(Aura, {
  primitive: {
    borderRadius: { xs: '3px', sm: '4px', md: '5px', lg: '6px', xl: '8px' },
  },
  semantic: {
    primary: spruce,
    focusRing: { width: '3px', style: 'solid', color: '#2a668f', offset: '2px' },
    formField: { paddingX: '0.7rem', paddingY: '0.6rem', borderRadius: '5px' },
    colorScheme: {
      light: {
        surface: { 0: leaf, 50: paper, 100: '#f0ecdf', 200: '#e4dfd0', 300: '#cfc9b8', 700: ink },
        text: { color: ink, hoverColor: ink, mutedColor: '#56635f', hoverMutedColor: '#56635f' },
        content: {
          background: leaf,
          hoverBackground: '#f0ecdf',
          borderColor: '#cfc9b8',
          color: ink,
        },
        formField: {
          background: leaf,
          borderColor: edge,
          hoverBorderColor: ink,
          focusBorderColor: ink,
          color: ink,
          placeholderColor: '#56635f',
          shadow: 'none',
        },
        mask: { background: 'rgb(28 43 42 / 45%)', color: leaf },
      },
    },
  },
  components: {
    button: {
      root: { paddingX: '0.9rem', paddingY: '0.5rem', label: { fontWeight: '600' } },
      colorScheme: {
        light: {
          root: {
            primary: {
              background: ink,
              hoverBackground: '#2c3f3d',
              activeBackground: '#3a4f4c',
              borderColor: ink,
              hoverBorderColor: ink,
              activeBorderColor: ink,
              color: leaf,
              hoverColor: leaf,
              activeColor: leaf,
            },
            secondary: quiet,
          },
        },
      },
    },
    togglebutton: {
      root: {
        padding: '0',
        borderRadius: '0',
        fontWeight: '500',
        gap: '0',
      },
      content: { padding: '0.35rem 0.6rem', borderRadius: '0', checkedShadow: 'none' },
      colorScheme: {
        light: {
          root: {
            background: leaf,
            checkedBackground: '#1e5b4f',
            hoverBackground: '#f0ecdf',
            borderColor: edge,
            checkedBorderColor: '#1e5b4f',
            color: '#44514d',
            hoverColor: ink,
            checkedColor: leaf,
          },
          content: { checkedBackground: 'transparent' },
        },
      },
    },
    drawer: {
      root: { background: leaf, borderColor: ink, shadow: 'none' },
      title: { fontWeight: '700' },
    },
  },
});
