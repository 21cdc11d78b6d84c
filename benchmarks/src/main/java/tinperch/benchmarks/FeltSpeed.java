package tinperch.benchmarks;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.application.Platform;

/**
 * What a person feels in the running window, printed as a table: {@code felt [NUMBER of parts more] [parts] [fit] [machines] [temperatures]};
 * all of them unless some are named.
 */
public final class FeltSpeed {
    private FeltSpeed() {}

    private interface Scene {
        void act(Felt felt) throws Exception;
    }

    public static void main(String[] args) throws Exception {
        Map<String, Scene> scenes = new LinkedHashMap<>();
        scenes.put("parts", FeltParts::act);
        scenes.put("fit", FeltParts::fit);
        scenes.put("machines", FeltMachines::act);
        scenes.put("temperatures", FeltMachines::temperatures);
        List<String> named = List.of(args).stream().filter(scenes::containsKey).toList();
        Felt felt = new Felt(List.of(args).stream().filter(a -> a.matches("\\d+")).mapToInt(Integer::parseInt).findFirst().orElse(0));
        for (String scene : named.isEmpty() ? scenes.keySet() : named) {
            scenes.get(scene).act(felt);
        }
        felt.close();
        Platform.exit();
        System.exit(0);
    }
}
