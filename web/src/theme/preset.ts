import { definePreset } from '@primeuix/themes'
import Aura from '@primeuix/themes/aura'

const tone = (name: string) => `var(--${name})`

/** PrimeVue brings behaviour; its look comes from tokens.css. */
export const preset = definePreset(Aura, {
  primitive: {
    borderRadius: { none: '0', xs: '0', sm: '0', md: '0', lg: '2px', xl: '2px' },
  },
  semantic: {
    transitionDuration: '0.1s',
    focusRing: { width: '2px', style: 'solid', color: tone('blue'), offset: '1px', shadow: 'none' },
    disabledOpacity: '0.5',
    iconSize: '12px',
    anchorGutter: '4px',
    colorScheme: {
      light: scheme(),
      dark: scheme(),
    },
    overlay: {
      select: { borderRadius: '0', shadow: 'none' },
      popover: { borderRadius: '0', padding: '14px 16px', shadow: 'none' },
      modal: { borderRadius: '0', padding: '22px', shadow: 'none' },
    },
  },
  components: {
    select: { root: { paddingX: '6px', paddingY: '5px', shadow: 'none', background: 'transparent', borderColor: 'transparent' } },
    dialog: { root: { background: tone('sheet'), borderColor: tone('rule'), color: tone('ink') }, title: { fontSize: '17px', fontWeight: '700' } },
    popover: { root: { gutter: '6px', arrowOffset: '16px' } },
    menu: { root: { shadow: 'none' } },
    progressbar: { root: { height: '6px', background: tone('rule') }, value: { background: tone('blue') } },
    checkbox: { root: { width: '16px', height: '16px', checkedBackground: tone('blue'), checkedBorderColor: tone('blue') } },
    tabs: {
      tablist: { borderWidth: '0', background: 'transparent' },
      tab: {
        borderWidth: '0',
        padding: '0 0 8px',
        fontWeight: '500',
        margin: '0',
        background: 'transparent',
        color: tone('ink-2'),
        activeColor: tone('ink'),
      },
      activeBar: { height: '2px', bottom: '0', background: tone('ink') },
      tabpanel: { padding: '0', background: 'transparent' },
    },
    message: { colorScheme: { light: message(), dark: message() } },
  },
})

/** Said in the line, without a frame. */
function message() {
  return { error: { simple: { color: tone('heat-text') } }, secondary: { simple: { color: tone('ink-2') } } }
}

function scheme() {
  return {
    surface: {
      0: tone('sheet'),
      50: tone('bench'),
      100: tone('bench'),
      200: tone('hair'),
      300: tone('rule'),
      400: tone('ink-3'),
      500: tone('ink-3'),
      600: tone('ink-2'),
      700: tone('ink-2'),
      800: tone('ink'),
      900: tone('ink'),
      950: tone('ink'),
    },
    primary: { color: tone('blue'), contrastColor: tone('on-blue'), hoverColor: tone('blue'), activeColor: tone('blue') },
    highlight: { background: tone('hair'), focusBackground: tone('hair'), color: tone('ink'), focusColor: tone('ink') },
    text: { color: tone('ink'), hoverColor: tone('ink'), mutedColor: tone('ink-2'), hoverMutedColor: tone('ink-2') },
    content: { background: tone('sheet'), hoverBackground: tone('hair'), borderColor: tone('rule'), color: tone('ink'), hoverColor: tone('ink') },
    formField: {
      background: 'transparent',
      borderColor: tone('rule'),
      hoverBorderColor: tone('ink-3'),
      focusBorderColor: tone('blue'),
      color: tone('ink'),
      shadow: 'none',
    },
    overlay: {
      select: { background: tone('sheet'), borderColor: tone('rule'), color: tone('ink') },
      popover: { background: tone('sheet'), borderColor: tone('rule'), color: tone('ink') },
      modal: { background: tone('sheet'), borderColor: tone('rule'), color: tone('ink') },
    },
    list: {
      option: {
        focusBackground: tone('hair'),
        selectedBackground: tone('hair'),
        selectedFocusBackground: tone('hair'),
        color: tone('ink'),
        selectedColor: tone('ink'),
      },
    },
    mask: { background: 'rgba(16, 24, 29, 0.35)', color: tone('ink') },
  }
}
