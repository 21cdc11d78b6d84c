package tinperch.part.block;

import java.util.Locale;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;

/** Which side of a machine a part is for: the other one is its mirror image, though seldom with the same readings. */
public enum Hand {
    RIGHT, LEFT;

    /** "right". */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** 1 for right, −1 for left. */
    public double sign() {
        return this == RIGHT ? 1 : -1;
    }

    /** A parameter that says it. */
    public static ChoiceParam<Hand> param(String key, Card card, String hint) {
        return ChoiceParam.of(key, card, "Side", RIGHT, Hand::word, hint);
    }
}
