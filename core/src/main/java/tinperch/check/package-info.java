/**
 * The judgement: a {@code Check} looks at a part in its situation and gives findings with margins and remedies. One class
 * a check; checks do not know each other; the list of all is {@code tinperch.upgrade.Assessor}.
 */
package tinperch.check;
