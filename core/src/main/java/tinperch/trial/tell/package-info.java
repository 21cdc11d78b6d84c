/** What is reckoned of recorded channels, in words for whoever decides from it. */
package tinperch.trial.tell;
