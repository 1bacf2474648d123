import { convertCssVariables, defaultCssVariablesResolver, mergeMantineTheme, DEFAULT_THEME } from '@mantine/core';
import { LOOK } from '@/interface/theme/look';

/** Palettes of the library of parts that nothing here is coloured with; the sign of success is in one of them. */
const UNUSED =
  /^--mantine-color-(blue|cyan|grape|green|indigo|lime|orange|pink|teal|violet|yellow)-|^--mantine-color-success$/;

const used = (variables: Readonly<Record<string, string>>) =>
  Object.fromEntries(Object.entries(variables).filter(([name]) => !UNUSED.test(name)));

/** The variables of the parts as a style sheet, fetched once and kept: the library writes them into every page. */
export function themeVariables(): string {
  const theme = mergeMantineTheme(DEFAULT_THEME, LOOK);
  const { variables, light, dark } = defaultCssVariablesResolver(theme);
  const text = convertCssVariables({
    variables: used(variables),
    light: used({ ...light, '--mantine-color-scheme': 'light' }),
    dark: used({ ...dark, '--mantine-color-scheme': 'dark' }),
  });
  const lines = text
    .replaceAll(/\s*([{};])\s*/g, '$1')
    .replaceAll('{', ' {\n  ')
    .replaceAll(';', ';\n  ')
    .replaceAll('), ', '),\n    ');
  return `/* Made by \`npm run theme\` from look.ts. */\n${lines.replaceAll('  }', '}\n\n').trim()}\n`;
}
