namespace YellowPencil.Core.Inference;

/// <summary>
/// Every number that stands before any evidence, with its reason. Change a number here and nowhere else; the recovery study
/// shows what it does.
/// </summary>
public static class Priors
{
    /// <summary>How much rarer a rule that leaves open what comes of it is than one that does not: nearly anything agrees with it.</summary>
    public const double LeavesOpen = 0.03;

    /// <summary>No systematic bug. A student who is sent to a specialist usually has one, but pages of sound work are read too.</summary>
    public const double Sound = 0.315;

    /// <summary>One bug: the usual case.</summary>
    public const double OneBug = 0.45;

    /// <summary>Two at once: common among students who are behind in several ideas.</summary>
    public const double TwoBugs = 0.17;

    /// <summary>Three at once.</summary>
    public const double ThreeBugs = 0.05;

    /// <summary>A way of working that is no set of rules in the space of choices.</summary>
    public const double SomethingElse = 0.015;

    /// <summary>
    /// A rule that nobody listed, alone or beside listed ones, for each student without it: the catalogue of no book is complete, and students that others
    /// wrote down have hardly fewer of these than of listed ones.
    /// </summary>
    public const double Unlisted = 0.5;

    /// <summary>Of unlisted rules, the part that takes so much to say: the rules of a length share it.</summary>
    public static double UnlistedOf(RuleLength length) => Unlisted * length switch
    {
        RuleLength.Named => 0.62,
        RuleLength.Opposite => 0.06,
        RuleLength.Comparison => 0.12,
        RuleLength.Expression => 0.1,
        _ => 0.1,
    };

    /// <summary>
    /// Of rules that nobody listed, the part that does what listed ones do, in contexts of its own: who held a common rule and learned where it fails holds it in
    /// fewer contexts; or does by rule what others do by a slip. These choices share it by how common they are, and the kinds of context share what each gets.
    /// </summary>
    public const double Narrowed = 0.5;

    /// <summary>The weight there of what others do by a slip.</summary>
    public const double DoneBySlip = 2;

    /// <summary>
    /// How far an explanation that is found to be certain can be trusted: of students written down by others, so many did something else that agrees with the
    /// page, and more of them the more items stand against it.
    /// </summary>
    /// <param name="rules">How many rules the explanation has.</param>
    /// <param name="agree">Items that agree with it.</param>
    /// <param name="against">Items that stand against it.</param>
    public static double Trust(int rules, int agree, int against) =>
        rules == 0 ? 1 : 1 - TrustLost * rules - TrustLostAgainst * against / Math.Max(1, agree + against);

    private const double TrustLost = 0.015;

    private const double TrustLostAgainst = 0.3;

    /// <summary>A given wrong number fact is held: one student in ten holds one, out of about 50 facts with about 4 near values each.</summary>
    public const double OneWrongFact = 0.1 / 200;

    /// <summary>
    /// How much more often than others a fact is held wrongly: large products are what is learned last; facts with 0 and 1, equal numbers taken from each
    /// other and the like are hardly ever held to be something else.
    /// </summary>
    public static double FactWeight(NumberFact fact) => fact.Kind switch
    {
        FactKind.Times or FactKind.DividedBy when fact.First >= 6 && fact.Second >= 6 => 3,
        FactKind.Times or FactKind.DividedBy when fact.First >= 3 && fact.Second >= 3 => 1.5,
        FactKind.Plus when fact is { First: >= 3, Second: >= 3, Value: > 10 } => 1,
        FactKind.Minus when fact is { First: > 10, Value: >= 2 } => 1.5,
        _ => 0.2,
    };

    /// <summary>Under "something else", an item is right this often: wrong rules give right answers about half the time.</summary>
    public const double SomethingElseRight = 0.55;

    /// <summary>Under "something else", one given wrong answer: about 80 are near enough to be written.</summary>
    public const double SomethingElseWrong = (1 - SomethingElseRight) / 80;

    /// <summary>The part of slips that is one altered step; the rest is anything else that happens on paper.</summary>
    public const double SlipIsOneStep = 0.85;

    /// <summary>How probable a slip of the pen is, among slips: one digit stands there as another one, oftenest as one more or one less.</summary>
    /// <param name="off">By how much the digit is off.</param>
    public static double SlipOfThePen(int off) => off is 1 or 9 ? 0.04 : 0.004;

    /// <summary>The chance of one given answer when a slip is no single altered step: about 300 could be written.</summary>
    public const double OtherSlip = (1 - SlipIsOneStep) / 300;

    /// <summary>How often a student writes a mark that is due, by habit: nearly always, now and then, hardly ever.</summary>
    public static readonly (double Written, double Weight)[] MarkHabits = [(0.95, 0.5), (0.5, 0.3), (0.05, 0.2)];

    /// <summary>The part of written marks that are others than those due; and marks where none is due, for each of the others.</summary>
    public const double MarkMistaken = 0.1;

    /// <summary>
    /// The probability of a given mark if marks have nothing to do with the explanation: they mostly look like those of the method all the same.
    /// </summary>
    public const double AnyMark = 0.4;

    /// <summary>The part of students who set the marks of a kind in a way of their own on the whole page.</summary>
    public const double MarksInOwnWay = 0.15;

    /// <summary>Among ways that lead to the same answer: how much less a way counts for a mark that is another,</summary>
    public const double MarkDiffers = 0.2;

    /// <summary>for one that stands where none is due,</summary>
    public const double MarkExtra = 0.5;

    /// <summary>and for one that is not there.</summary>
    public const double MarkLeftOut = 0.8;

    /// <summary>How often a student follows a bug where it applies: mostly always, sometimes as it forms or comes loose.</summary>
    public static readonly (double Value, double Weight)[] Consistency = [(0.98, 0.42), (0.9, 0.27), (0.75, 0.18), (0.55, 0.09), (0.3, 0.04)];

    /// <summary>The consistency by which the ways through an item are told apart.</summary>
    public const double CommonConsistency = 0.9;

    /// <summary>
    /// The part of students who follow a rule or forget it item by item, all chances of an item alike; the others do so chance by chance. Of strangers with
    /// several chances on an item, far more follow none than some.
    /// </summary>
    public const double ByItem = 0.5;

    /// <summary>The probability of a way of following chances.</summary>
    /// <param name="consistency">How often the student follows the rules where they apply, 0 to 1.</param>
    /// <param name="chances">Chances on the way.</param>
    /// <param name="followed">How many were followed.</param>
    public static double Following(double consistency, int chances, int followed)
    {
        var byChance = 1.0;
        for (var i = 0; i < followed; i++) byChance *= consistency;
        for (var i = followed; i < chances; i++) byChance *= 1 - consistency;
        var byItem = followed == chances ? consistency : followed == 0 ? 1 - consistency : 0;
        return chances < 2 ? byChance : (1 - ByItem) * byChance + ByItem * byItem;
    }

    /// <summary>Slips for one item.</summary>
    public static readonly (double Value, double Weight)[] SlipRate = [(0.01, 0.35), (0.05, 0.35), (0.12, 0.2), (0.25, 0.1)];

    /// <summary>
    /// How much oftener than by chance a rule that nobody listed is held together with others: one missing idea brings about several, and who invents one way
    /// invents others. By so much strangers with two rules were foretold best, and those with one no worse.
    /// </summary>
    public const double InCompany = 4;

    /// <summary>
    /// How much less often a bug of a written method comes up inside another working than a bug of that working: most of the numbers there are small.
    /// </summary>
    public const double BesideAnother = 0.1;

    /// <summary>The weight of a bug among the bugs of its family.</summary>
    public static double Weight(Commonness commonness) => commonness switch
    {
        Commonness.VeryCommon => 8,
        Commonness.Common => 4,
        Commonness.Uncommon => 2,
        _ => 1,
    };

    /// <summary>The probability, before any evidence, of so many bugs.</summary>
    public static double Number(int bugs) => bugs switch { 0 => Sound, 1 => OneBug, 2 => TwoBugs, 3 => ThreeBugs, _ => 0 };
}
