namespace YellowPencil.Planning;

/// <summary>A time of the week at which the specialist can teach.</summary>
/// <param name="Id">The key.</param>
/// <param name="Day">The day.</param>
/// <param name="Start">When it begins.</param>
/// <param name="Minutes">How long it is.</param>
public sealed record WeekSlot(Guid Id, DayOfWeek Day, TimeOnly Start, int Minutes)
{
    /// <summary>The slot as it is said, such as "Mon 9:10".</summary>
    public string Name => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Day.ToString()[..3]} {Start:H\\:mm}");
}

/// <summary>A plan that wants sessions.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="Student">Whose it is; a student with two plans is at one place at a time.</param>
/// <param name="Code">The student's code.</param>
/// <param name="Together">What must be the same for two students to sit together: the missing idea and how the classroom works.</param>
/// <param name="Need">How much it is needed, from 1 to <see cref="WeekProblem.MostNeed"/>.</param>
/// <param name="Wanted">How many sessions a week.</param>
/// <param name="Minutes">How long a session is.</param>
public sealed record Seeker(Guid Plan, Guid Student, string Code, string Together, int Need, int Wanted, int Minutes);

/// <summary>A plan in a slot.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="Slot">The slot.</param>
public sealed record Place(Guid Plan, Guid Slot);

/// <summary>Who is to be taught when in a week. In a slot sit students who may sit together, each at most once a day, as many as the size allows.</summary>
/// <param name="Slots">The slots of the week.</param>
/// <param name="Seekers">The plans.</param>
/// <param name="MostTogether">How many students a group has at most.</param>
/// <param name="NotFree">At which slots which students cannot come.</param>
/// <param name="Agreed">What is agreed already: as little of it as possible is changed.</param>
public sealed record WeekProblem(
    IReadOnlyList<WeekSlot> Slots, IReadOnlyList<Seeker> Seekers, int MostTogether, IReadOnlySet<(Guid Student, Guid Slot)> NotFree, IReadOnlySet<Place> Agreed)
{
    /// <summary>The greatest need.</summary>
    public const int MostNeed = 4;

    /// <summary>More sessions a week than these are not planned for one student.</summary>
    public const int MostSessions = 5;

    // What a first, second, … session of a week is worth: one session teaches little, two are what it takes, and nobody gets a third before another has one.
    private static readonly int[] Worth = [100, 60, 20, 10, 5];

    // Fifty changes weigh as much as the smallest session; a slot more weighs less than a change.
    private const int Unit = 1_000;
    private const int Change = 100;

    /// <summary>What a session is worth to a plan.</summary>
    /// <param name="seeker">The plan.</param>
    /// <param name="number">Which session of the week, from 0.</param>
    public static long WorthOf(Seeker seeker, int number) => (long)Unit * seeker.Need * Worth[number];

    /// <summary>What a place costs or saves beside that: giving up what was agreed costs.</summary>
    internal static int CostOfGivingUp => Change;

    /// <summary>Whether a plan can be taught in a slot, by itself.</summary>
    public bool Fits(Seeker seeker, WeekSlot slot) => slot.Minutes >= seeker.Minutes && !NotFree.Contains((seeker.Student, slot.Id));

    /// <summary>What an answer is worth; more is better.</summary>
    /// <param name="places">The answer.</param>
    /// <returns>The worth; null where it is no answer at all.</returns>
    public long? WorthOf(IReadOnlyCollection<Place> places)
    {
        var slots = Slots.ToDictionary(s => s.Id);
        var seekers = Seekers.ToDictionary(s => s.Plan);
        if (places.Any(p => !slots.ContainsKey(p.Slot) || !seekers.TryGetValue(p.Plan, out var seeker) || !Fits(seeker, slots[p.Slot]))) return null;
        if (places.GroupBy(p => p.Slot).Any(slot => slot.Count() > MostTogether || slot.Select(p => seekers[p.Plan].Together).Distinct().Count() > 1)) return null;
        if (places.GroupBy(p => (seekers[p.Plan].Student, slots[p.Slot].Day)).Any(day => day.Count() > 1)) return null;
        var worth = 0L;
        foreach (var plan in places.GroupBy(p => p.Plan))
        {
            if (plan.Count() > seekers[plan.Key].Wanted) return null;
            worth += Enumerable.Range(0, plan.Count()).Sum(number => WorthOf(seekers[plan.Key], number));
        }

        return worth - Change * Agreed.Count(a => Possible(a) && !places.Contains(a)) - places.Select(p => p.Slot).Distinct().Count();
    }

    /// <summary>Whether something that was agreed could still be so.</summary>
    internal bool Possible(Place agreed) => Slots.FirstOrDefault(s => s.Id == agreed.Slot) is { } slot && Seekers.FirstOrDefault(s => s.Plan == agreed.Plan) is { } seeker && Fits(seeker, slot);
}

/// <summary>A plan that gets fewer sessions than it wants.</summary>
/// <param name="Seeker">The plan.</param>
/// <param name="Got">How many it gets.</param>
/// <param name="Because">Why, in a sentence.</param>
public sealed record LeftOut(Seeker Seeker, int Got, string Because);

/// <summary>An answer.</summary>
/// <param name="Places">Who is taught when.</param>
/// <param name="Worth">What it is worth.</param>
/// <param name="Bound">What no answer can exceed.</param>
public sealed record WeekAnswer(IReadOnlyList<Place> Places, long Worth, long Bound)
{
    /// <summary>Whether there is none better.</summary>
    public bool IsBest => Worth >= Bound;
}
