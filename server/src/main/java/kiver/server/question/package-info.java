/**
 * Questions as they come over the telephone, in the words of the person who asks: read in their language
 * ({@link kiver.server.question.QuestionReader}), with the names and habits of this nursery, and answered
 * ({@link kiver.server.question.Questions}). What was not understood is told with its place in the text; what fits twice is
 * offered, never guessed. The words of a language stand in {@code words/question-*.json}.
 */
package kiver.server.question;
