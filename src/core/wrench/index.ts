export { wrenchSetting, type WrenchScale, type WrenchSetting } from './setting';
