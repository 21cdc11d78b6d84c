/**
 * Checks: each asks one question of a case and its facts and answers with findings, margins and remedies. One class a check; checks
 * do not know each other; the list of all is {@code tinperch.judge.Checks}.
 */
package tinperch.check;
