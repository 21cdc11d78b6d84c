/** What recorded temperatures must stay below: limits of materials and of what is fitted. */
package tinperch.trial.limit;
