import { createTheme, type MantineColorsTuple } from '@mantine/core';
import field from './field.module.css';

const ink: MantineColorsTuple = [
  '#eef1f6',
  '#dbe1ea',
  '#b5c0d2',
  '#8c9db9',
  '#6a7fa4',
  '#546c97',
  '#465f8d',
  '#2b3d5e',
  '#16223a',
  '#0e1727',
];

const fieldClasses = { label: field.label, description: field.description, error: field.error, input: field.input };
const fieldDefaults = { inputWrapperOrder: ['label', 'description', 'input', 'error'] as const };

export const theme = createTheme({
  colors: { ink },
  primaryColor: 'ink',
  primaryShade: { light: 8, dark: 2 },
  autoContrast: true,
  defaultRadius: 0,
  fontFamily: 'var(--text)',
  fontFamilyMonospace: 'var(--figure)',
  headings: { fontFamily: 'var(--heading)', fontWeight: '600' },
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: {
    TextInput: { defaultProps: fieldDefaults, classNames: fieldClasses },
    NumberInput: { defaultProps: { ...fieldDefaults, hideControls: true }, classNames: fieldClasses },
    NativeSelect: { defaultProps: fieldDefaults, classNames: fieldClasses },
    Textarea: { defaultProps: fieldDefaults, classNames: fieldClasses },
  },
});
