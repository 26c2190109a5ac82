package jollytide.core.suspects;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Who is to blame that pH is low: how common each cause is, times how probable it makes what was logged of this tank
 * beside no cause, times what was found at checks (Bayes; exactly one of them is taken to be the cause).
 *
 * @param suspicions those that such a tank can have, families in their order, then those in each
 * @param next checks that would part them, the one that tells most for its trouble first
 * @param daysCompared whether the days' course was compared: else only meters, tests, notes and checks speak
 */
public record Ranking(List<Suspicion> suspicions, List<Next> next, boolean daysCompared) {
    /** What a check must tell to be worth doing, nats. */
    private static final double LEAST_GAIN = 0.01;

    /**
     * A check that was not done yet.
     *
     * @param gain by how much it is expected to lessen the doubt, nats
     * @param answers what each would mean
     */
    public record Next(Check check, double gain, List<Meaning> answers) {}

    /**
     * @param answer its place among the check's answers
     * @param words what is seen
     * @param probability of it, by what is known now
     * @param then who would be the first suspect, with what share
     */
    public record Meaning(int answer, String words, double probability, Suspect then, double share) {}

    /** @param given what was found at checks */
    public static Ranking of(Evidence evidence, List<Given> given) {
        Map<Suspect, Double> ln = new EnumMap<>(Suspect.class);
        evidence.all()
                .forEach(of -> ln.put(
                        of.suspect(),
                        Math.log(of.suspect().commonness())
                                + of.weight()
                                + given.stream()
                                        .mapToDouble(g -> g.weight(of.suspect()))
                                        .sum()));
        Map<Suspect, Double> shares = shares(ln);
        return new Ranking(
                evidence.all().stream()
                        .map(of -> suspicion(of, shares, given))
                        .sorted(order(shares, !given.isEmpty()))
                        .toList(),
                next(shares, given),
                evidence.daysCompared());
    }

    private static Suspicion suspicion(Evidence.Of of, Map<Suspect, Double> shares, List<Given> given) {
        return new Suspicion(
                of.suspect(),
                shares.getOrDefault(of.suspect(), 0.0),
                of.needs(),
                of.since(),
                Stream.concat(
                                of.grounds().stream(),
                                given.stream().map(g -> g.ground(of.suspect())).filter(g -> g.weight() != 0))
                        .sorted(Comparator.comparingDouble(g -> -Math.abs(g.weight())))
                        .toList());
    }

    private static Map<Suspect, Double> shares(Map<Suspect, Double> ln) {
        double most =
                ln.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double all = ln.values().stream().mapToDouble(l -> Math.exp(l - most)).sum();
        Map<Suspect, Double> shares = new EnumMap<>(Suspect.class);
        ln.forEach((s, l) -> shares.put(s, Math.exp(l - most) / all));
        return shares;
    }

    /** A log parts families, so all of one count together; once something was checked each speaks for itself. */
    private static Comparator<Suspicion> order(Map<Suspect, Double> shares, boolean checked) {
        Map<Family, Double> families = shares.entrySet().stream()
                .collect(Collectors.toMap(
                        e -> e.getKey().family(), Map.Entry::getValue, checked ? Math::max : Double::sum));
        return Comparator.comparingDouble(
                        (Suspicion s) -> -families.getOrDefault(s.suspect().family(), 0.0))
                .thenComparingDouble(s -> -s.share());
    }

    private static List<Next> next(Map<Suspect, Double> shares, List<Given> given) {
        return Check.all()
                .filter(check -> given.stream().noneMatch(g -> g.check() == check))
                .filter(check -> check.parts().stream().anyMatch(shares::containsKey))
                .map(check -> next(check, shares))
                .filter(next -> next.gain() > LEAST_GAIN)
                .sorted(Comparator.comparingDouble(
                        n -> -n.gain() / n.check().effort().weight()))
                .toList();
    }

    /** Expected loss of entropy (Lindley 1956), over the answers that such a tank can give. */
    private static Next next(Check check, Map<Suspect, Double> shares) {
        List<Integer> answers = IntStream.range(0, check.answers().size())
                .filter(a -> a == 0 || check.answers().get(a).of().stream().anyMatch(shares::containsKey))
                .boxed()
                .toList();
        double all =
                answers.stream().mapToDouble(a -> probability(check, a, shares)).sum();
        List<Meaning> meanings = new ArrayList<>();
        double left = 0;
        for (int answer : answers) {
            Map<Suspect, Double> ln = new EnumMap<>(Suspect.class);
            shares.forEach((s, share) -> ln.put(s, Math.log(share * check.probability(answer, s))));
            double probability = probability(check, answer, shares) / all;
            Map<Suspect, Double> then = shares(ln);
            left += probability * entropy(then);
            Map.Entry<Suspect, Double> first =
                    then.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
            meanings.add(new Meaning(
                    answer, check.answers().get(answer).words(), probability, first.getKey(), first.getValue()));
        }
        return new Next(check, entropy(shares) - left, meanings);
    }

    private static double probability(Check check, int answer, Map<Suspect, Double> shares) {
        return shares.entrySet().stream()
                .mapToDouble(e -> e.getValue() * check.probability(answer, e.getKey()))
                .sum();
    }

    private static double entropy(Map<Suspect, Double> shares) {
        return -shares.values().stream()
                .filter(p -> p > 0)
                .mapToDouble(p -> p * Math.log(p))
                .sum();
    }
}
