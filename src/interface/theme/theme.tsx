import { createTheme } from '@mantine/core';
import { Chevron } from './chevron';
import field from './field.module.css';
import { LOOK } from './look';

const fieldClasses = { label: field.label, description: field.description, error: field.error, input: field.input };
const fieldDefaults = { inputWrapperOrder: ['label', 'description', 'input', 'error'] as const };

/** What a form lays out; short, as every field of every page has them, and the library's own names go without. */
const wrapperClasses = {
  root: 'field',
  label: 'field-label',
  description: 'field-description',
  error: 'field-error',
};

export const theme = createTheme({
  ...LOOK,
  components: {
    Input: { classNames: { wrapper: 'field-box' } },
    InputWrapper: { classNames: wrapperClasses },
    TextInput: { defaultProps: fieldDefaults, classNames: fieldClasses },
    NumberInput: { defaultProps: { ...fieldDefaults, hideControls: true }, classNames: fieldClasses },
    NativeSelect: { defaultProps: { ...fieldDefaults, rightSection: <Chevron /> }, classNames: fieldClasses },
    Textarea: { defaultProps: fieldDefaults, classNames: fieldClasses },
  },
});
