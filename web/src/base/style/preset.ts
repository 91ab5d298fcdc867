import { definePreset } from '@primeuix/themes';
import autocomplete from '@primeuix/themes/aura/autocomplete';
import base from '@primeuix/themes/aura/base';
import button from '@primeuix/themes/aura/button';
import checkbox from '@primeuix/themes/aura/checkbox';
import chip from '@primeuix/themes/aura/chip';
import dialog from '@primeuix/themes/aura/dialog';
import drawer from '@primeuix/themes/aura/drawer';
import iconfield from '@primeuix/themes/aura/iconfield';
import inputnumber from '@primeuix/themes/aura/inputnumber';
import inputtext from '@primeuix/themes/aura/inputtext';
import multiselect from '@primeuix/themes/aura/multiselect';
import select from '@primeuix/themes/aura/select';
import selectbutton from '@primeuix/themes/aura/selectbutton';
import slider from '@primeuix/themes/aura/slider';
import textarea from '@primeuix/themes/aura/textarea';
import togglebutton from '@primeuix/themes/aura/togglebutton';
import toggleswitch from '@primeuix/themes/aura/toggleswitch';
import virtualscroller from '@primeuix/themes/aura/virtualscroller';

// Only the components that are used: the whole preset has a hundred, and every first page would carry them.
const used = {
  ...base,
  components: {
    autocomplete,
    button,
    checkbox,
    chip,
    dialog,
    drawer,
    iconfield,
    inputnumber,
    inputtext,
    multiselect,
    select,
    selectbutton,
    slider,
    textarea,
    togglebutton,
    toggleswitch,
    virtualscroller,
  },
};

// The tokens of tokens.css carry every color, so that one set of names follows all modes.
const ink = 'var(--ink)';
const paper = 'var(--paper)';
const leaf = 'var(--leaf)';
const tint = 'var(--tint)';
const sand = 'var(--sand)';
const soft = 'var(--soft)';
const edge = 'var(--edge)';
const hairline = 'var(--hairline)';
const spruce = 'var(--spruce)';

const shades = [50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950] as const;
const primary = Object.fromEntries(shades.map((shade) => [shade, spruce]));
const surface = {
  0: leaf,
  50: paper,
  100: tint,
  200: sand,
  300: hairline,
  400: edge,
  500: soft,
  600: soft,
  700: ink,
  800: ink,
  900: ink,
  950: ink,
};

const quiet = {
  background: leaf,
  hoverBackground: tint,
  activeBackground: sand,
  borderColor: ink,
  hoverBorderColor: ink,
  activeBorderColor: ink,
  color: ink,
  hoverColor: ink,
  activeColor: ink,
};

const loud = {
  background: ink,
  hoverBackground: soft,
  activeBackground: soft,
  borderColor: ink,
  hoverBorderColor: soft,
  activeBorderColor: soft,
  color: leaf,
  hoverColor: leaf,
  activeColor: leaf,
};

/** Paper and ink for PrimeVue: no component keeps the library's own look. */
export const fieldNotebook = definePreset(used, {
  primitive: {
    borderRadius: { xs: '3px', sm: '4px', md: '5px', lg: '6px', xl: '8px' },
  },
  semantic: {
    primary,
    focusRing: { width: '3px', style: 'solid', color: 'var(--water)', offset: '2px' },
    formField: { paddingX: '0.7rem', paddingY: '0.6rem', borderRadius: '5px' },
    colorScheme: {
      light: {
        surface,
        primary: { color: spruce, contrastColor: 'var(--on-spruce)', hoverColor: spruce },
        highlight: { background: sand, focusBackground: sand, color: ink, focusColor: ink },
        text: { color: ink, hoverColor: ink, mutedColor: soft, hoverMutedColor: soft },
        content: {
          background: leaf,
          hoverBackground: tint,
          borderColor: hairline,
          color: ink,
          hoverColor: ink,
        },
        formField: {
          background: leaf,
          disabledBackground: tint,
          borderColor: edge,
          hoverBorderColor: ink,
          focusBorderColor: ink,
          color: ink,
          disabledColor: soft,
          placeholderColor: soft,
          iconColor: soft,
          shadow: 'none',
        },
        overlay: {
          select: { background: leaf, borderColor: edge, color: ink },
          modal: { background: leaf, borderColor: edge, color: ink },
        },
        list: {
          option: {
            focusBackground: tint,
            selectedBackground: sand,
            selectedFocusBackground: sand,
            color: ink,
            focusColor: ink,
            selectedColor: ink,
            selectedFocusColor: ink,
          },
        },
        mask: { background: 'var(--veil)', color: leaf },
      },
    },
  },
  components: {
    button: {
      root: { paddingX: '0.9rem', paddingY: '0.5rem', label: { fontWeight: '600' } },
      colorScheme: {
        light: {
          root: { primary: loud, secondary: quiet },
          // The library's tints of the first color are that color here: pointed at, the words would be gone.
          text: { primary: { hoverBackground: tint, activeBackground: sand, color: spruce } },
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
            checkedBackground: spruce,
            hoverBackground: tint,
            borderColor: edge,
            checkedBorderColor: spruce,
            color: soft,
            hoverColor: ink,
            checkedColor: 'var(--on-spruce)',
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
