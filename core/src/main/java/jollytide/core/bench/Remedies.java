package jollytide.core.bench;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import jollytide.core.units.InputException;

/** What is put on the tank together; one of each kind at most. {@link #NONE} changes nothing. */
public record Remedies(List<Remedy> all) {
    public static final Remedies NONE = new Remedies(List.of());

    public Remedies {
        all = List.copyOf(all);
        Set<Class<?>> kinds = new HashSet<>();
        for (Remedy remedy : all) {
            if (!kinds.add(remedy.getClass())) {
                throw new InputException("remedies", all.size(), "one of each kind", "The same remedy stands twice.");
            }
        }
    }

    public static Remedies of(Remedy... remedies) {
        return new Remedies(List.of(remedies));
    }

    /** The remedy of one kind, if it is on. */
    public <T extends Remedy> Optional<T> find(Class<T> kind) {
        return all.stream().filter(kind::isInstance).map(kind::cast).findFirst();
    }
}
