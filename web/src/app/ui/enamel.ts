import { definePreset } from '@primeuix/themes';
import Aura from '@primeuix/themes/aura';

const cobalt = {
  50: '#eef2fb',
  100: '#dbe4f6',
  200: '#b9c6e3',
  300: '#8fa5d6',
  400: '#5f7ec3',
  500: '#1d3f94',
  600: '#1a3985',
  700: '#163072',
  800: '#12275c',
  900: '#0d1d45',
  950: '#08122c',
};

/** Orvin's enamel as a PrimeNG preset: pressed-steel corners, thin cobalt rims, no shadows, colours from the tokens. */
export const enamel = definePreset(Aura, {
  primitive: { borderRadius: { xs: '4px', sm: '6px', md: '8px', lg: '12px', xl: '14px' } },
  semantic: {
    primary: cobalt,
    focusRing: { width: '3px', style: 'solid', color: 'var(--rim)', offset: '2px', shadow: 'none' },
    formField: { borderRadius: '8px', shadow: 'none', paddingX: '0.65rem', paddingY: '0.45rem' },
    colorScheme: {
      light: both(),
      dark: both(),
    },
    overlay: {
      select: { borderRadius: '8px', shadow: 'none' },
      popover: { borderRadius: '14px', shadow: 'none' },
      modal: { borderRadius: '14px', shadow: 'none', padding: '1.4rem' },
    },
  },
});

/** Light and dim both read the tokens, which change by themselves. */
function both() {
  return {
    primary: {
      color: 'var(--rim)',
      contrastColor: 'var(--on-rim)',
      hoverColor: 'var(--rim)',
      activeColor: 'var(--rim)',
    },
    highlight: {
      background: 'var(--rim-wash)',
      focusBackground: 'var(--rim-wash)',
      color: 'var(--ink)',
      focusColor: 'var(--ink)',
    },
    mask: { background: 'rgba(16, 24, 43, 0.45)', color: 'var(--ink)' },
    formField: {
      background: 'var(--enamel)',
      borderColor: 'var(--rim-soft)',
      hoverBorderColor: 'var(--rim)',
      focusBorderColor: 'var(--rim)',
      color: 'var(--ink)',
      placeholderColor: 'var(--ink-2)',
      iconColor: 'var(--ink-2)',
    },
    text: {
      color: 'var(--ink)',
      hoverColor: 'var(--ink)',
      mutedColor: 'var(--ink-2)',
      hoverMutedColor: 'var(--ink-2)',
    },
    content: {
      background: 'var(--enamel)',
      hoverBackground: 'var(--rim-wash)',
      borderColor: 'var(--rim-soft)',
      color: 'var(--ink)',
      hoverColor: 'var(--ink)',
    },
    overlay: {
      select: { background: 'var(--enamel)', borderColor: 'var(--rim)', color: 'var(--ink)' },
      popover: { background: 'var(--enamel)', borderColor: 'var(--rim)', color: 'var(--ink)' },
      modal: { background: 'var(--enamel)', borderColor: 'var(--rim)', color: 'var(--ink)' },
    },
    list: {
      option: {
        focusBackground: 'var(--rim-wash)',
        selectedBackground: 'var(--rim)',
        selectedFocusBackground: 'var(--rim)',
        color: 'var(--ink)',
        focusColor: 'var(--ink)',
        selectedColor: 'var(--on-rim)',
        selectedFocusColor: 'var(--on-rim)',
      },
    },
  };
}
