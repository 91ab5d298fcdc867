export {
  changesToAnswer,
  fieldAsked,
  isAnswered,
  isOverdue,
  modelKeyOf,
  ofSameModel,
  questionsAbout,
  questionsIn,
  type AnswerValue,
  type Asked,
  type UnitOf,
} from './questions.ts';
