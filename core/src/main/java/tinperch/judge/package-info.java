/** The judgement as a whole: the list of all checks, remedies tried out before they are offered, what a new part begins with. */
package tinperch.judge;
