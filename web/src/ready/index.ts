export { localAnswers } from './answers.ts';
export { keepReady, readyNote } from './fetch.ts';
