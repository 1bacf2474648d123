export { assertBearingFace, usualBearingFace, type BearingFace } from './bearing-face';
