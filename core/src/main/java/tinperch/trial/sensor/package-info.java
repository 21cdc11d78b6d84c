/** What a sensor's electrical value says of its temperature. */
package tinperch.trial.sensor;
