// Writes the variables of the parts' look into a style sheet: `npm run theme`.
import { writeFileSync } from 'node:fs';
import { themeVariables } from './theme-variables';

writeFileSync('src/interface/theme/mantine-variables.css', themeVariables());
