import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/** Morning kitchen: warm paper, deep ink; sun for sugar, leaf for fruit, water for water. */
const morning = {
  dark: false,
  colors: {
    background: '#FFF8EC',
    surface: '#FFFDF7',
    'surface-variant': '#F4E6CC',
    primary: '#3A2431',
    secondary: '#7A4A2B',
    'on-background': '#3A2431',
    'on-surface': '#3A2431',
    error: '#8A3D0C',
    warning: '#8A3D0C',
    success: '#2F6246',
    info: '#2B5D7D',
    sun: '#E8A020',
    leaf: '#2F6246',
    water: '#2B5D7D',
  },
}

/** Late oven: the same kitchen at night. */
const oven = {
  dark: true,
  colors: {
    background: '#231720',
    surface: '#2C1C28',
    'surface-variant': '#4A3342',
    primary: '#F6DFB4',
    secondary: '#D9AE85',
    'on-background': '#FBEBD2',
    'on-surface': '#FBEBD2',
    'on-primary': '#2C1C28',
    error: '#FFB48A',
    warning: '#FFB48A',
    success: '#9CD3B0',
    info: '#9CC9E6',
    sun: '#F0B040',
    leaf: '#9CD3B0',
    water: '#9CC9E6',
  },
}

const field = { variant: 'underlined', density: 'compact', hideDetails: 'auto' } as const

/** Where motion is not wanted nothing slides or fades in: while it does, it can't be clicked. */
const atOnce = window.matchMedia('(prefers-reduced-motion: reduce)').matches ? { transition: false } : {}

export const vuetify = createVuetify({
  theme: { defaultTheme: 'morning', themes: { morning, oven } },
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    VBtn: { rounded: 'pill', variant: 'outlined', ripple: false },
    VTextField: field,
    VNumberInput: field,
    VSelect: { ...field, menuProps: atOnce },
    VCombobox: { ...field, menuProps: atOnce },
    VAutocomplete: { ...field, menuProps: atOnce },
    VSlider: { hideDetails: true, thumbSize: 18, trackSize: 6 },
    VCheckbox: { density: 'compact', hideDetails: true },
    VMenu: atOnce,
    VDialog: atOnce,
  },
})
