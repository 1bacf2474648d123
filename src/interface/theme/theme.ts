import { createTheme } from '@mantine/core';
import field from './field.module.css';
import { LOOK } from './look';

const fieldClasses = { label: field.label, description: field.description, error: field.error, input: field.input };
const fieldDefaults = { inputWrapperOrder: ['label', 'description', 'input', 'error'] as const };

export const theme = createTheme({
  ...LOOK,
  components: {
    TextInput: { defaultProps: fieldDefaults, classNames: fieldClasses },
    NumberInput: { defaultProps: { ...fieldDefaults, hideControls: true }, classNames: fieldClasses },
    NativeSelect: { defaultProps: fieldDefaults, classNames: fieldClasses },
    Textarea: { defaultProps: fieldDefaults, classNames: fieldClasses },
  },
});
