/** Stand-ins for what is recorded, so that everything can be tried without hardware. What they give is simulated and said to be. */
package tinperch.trial.simulated;
