using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Divisions;

/// <summary>
/// The cycles of a long division. A part for every method that divides: it is given the digits of the dividend from the left, how many
/// of them stand before the point, and the divisor, and finds the digits of the quotient, where its point goes, and what is left.
/// </summary>
internal ref struct DivisionWork
{
    public const int MostDivisorDigits = 9;

    private readonly MethodRun run;
    private readonly ReadOnlySpan<int> digits;
    private readonly int wholeDigits;
    private readonly long divisor;
    private readonly bool asksDecimal;
    private readonly int mostAppended;
    private readonly bool takesFirstTogether;
    private int used;
    private int appended;
    private int cycle;
    private int brought;
    private long part;
    private bool hasDigit;
    private int zerosDue;

    public DivisionWork(
        MethodRun run, ReadOnlySpan<int> digits, int wholeDigits, long divisor, bool asksDecimal, int mostAppended, bool takesFirstTogether = true)
    {
        this.run = run;
        this.digits = digits;
        this.wholeDigits = wholeDigits;
        this.divisor = divisor;
        this.asksDecimal = asksDecimal;
        this.mostAppended = mostAppended;
        this.takesFirstTogether = takesFirstTogether;
        Quotient = run.Take(3 * (digits.Length + mostAppended) + 6);
        PointAt = -1;
    }

    /// <summary>The digits of the quotient from the left, as far as <see cref="Written"/>; one may have more than one digit.</summary>
    public readonly Span<int> Quotient;

    /// <summary>How many digits were written in the quotient.</summary>
    public int Written { get; private set; }

    /// <summary>How many digits of the quotient stand before its point; -1 where it has none.</summary>
    public int PointAt { get; private set; }

    /// <summary>What is left at the end.</summary>
    public long Left { get; private set; }

    /// <summary>Whether the work was cut off because no more zeros are appended, as on a way that never ends.</summary>
    public readonly bool IsCutOff => appended == mostAppended;

    /// <summary>Works all cycles.</summary>
    public void Work()
    {
        TakeDigit();
        while (true)
        {
            run.Page.Line = cycle;
            var context = Context(rest: 0);
            MarkPoint(context);
            if (takesFirstTogether && context.IsTooSmall && !hasDigit && Written == 0 && used < wholeDigits)
            {
                switch (run.Ask(DivisionDecisions.First, context))
                {
                    case FirstPart.TakeMore:
                        TakeDigit();
                        continue;
                    case FirstPart.LeaveDigitOut:
                        part = 0;
                        TakeDigit();
                        continue;
                    case FirstPart.Swap when part > 0:
                        WriteDigit(divisor / part);
                        Left = divisor % part;
                        break;
                    case FirstPart.RoundUpToDivisor:
                        WriteDigit(1);
                        Left = 0;
                        break;
                    default:
                        WriteDigit(1);
                        Left = part;
                        break;
                }
            }
            else if (context.IsTooSmall)
            {
                if (!Fits(context)) break;
            }
            else
            {
                Divide(context);
            }

            if (!GoOn()) break;
        }

        for (; zerosDue > 0 && Written < Quotient.Length; zerosDue--) Quotient[Written++] = 0;
    }

    /// <summary>A cycle in which the divisor does not go in; false where the work stops here.</summary>
    private bool Fits(CycleContext context)
    {
        Left = part;
        switch (run.Ask(DivisionDecisions.Fits, context))
        {
            case TooSmall.WriteNothing:
                PassCycle();
                return true;
            case TooSmall.Swap when part > 0:
                WriteDigit(divisor / part);
                Left = divisor % part;
                return true;
            case TooSmall.Stop:
                return false;
            case TooSmall.WriteOne:
                WriteDigit(1);
                return true;
            case TooSmall.WriteNumberItself:
                WriteDigit(part);
                Left = 0;
                return true;
            case TooSmall.WriteOneAndMissing:
                WriteDigit(1);
                Left = divisor - part;
                return true;
            case TooSmall.ZeroAfterNext:
                zerosDue++;
                PassCycle();
                return true;
            case TooSmall.WriteNine:
                WriteDigit(9);
                return true;
            case TooSmall.WriteTwoZeros:
                WriteDigit(0);
                WriteDigit(0);
                return true;
            case TooSmall.WriteDigitItself:
                WriteDigit(brought);
                Left = 0;
                return true;
            case TooSmall.WriteZeroForgetNumber:
                WriteDigit(0);
                Left = 0;
                return true;
            default:
                WriteDigit(0);
                if (run.School.Of(School.ZeroCycle) == ZeroCycleSchool.PassedOver) return true;
                WriteStep(WorkFields.Cycles.Product, 0);
                WriteStep(WorkFields.Cycles.Difference, Left);
                return true;
        }
    }

    private void Divide(CycleContext context)
    {
        var exact = run.HoldsWrongFacts ? ByOwnTable() : part / divisor;
        var choice = run.Ask(DivisionDecisions.Digit, context);
        var digit = choice switch
        {
            QuotientDigit.OneTooSmall => exact - 1,
            QuotientDigit.TwoTooSmall => Math.Max(0, exact - 2),
            QuotientDigit.OneTooLarge => exact + 1,
            QuotientDigit.Nearest => 2 * (part % divisor) >= divisor ? exact + 1 : exact,
            QuotientDigit.ByFirstDigits => CycleArithmetic.ByFirstDigits(part, divisor, exact),
            QuotientDigit.ByNearestTen => CycleArithmetic.ByNearestTen(part, divisor, exact),
            QuotientDigit.ByNearestTenUncapped => CycleArithmetic.ByNearestTen(part, divisor, exact, most: 99),
            QuotientDigit.One => 1,
            _ => exact,
        };
        digit = run.Value(DivisionDecisions.DigitIs, context, (int)Math.Min(digit, 9999), most: 9999);
        WriteDigit(choice switch { QuotientDigit.CountedOneMore => digit + 1, QuotientDigit.CountedOneFewer => digit - 1, _ => digit });
        var product = CycleArithmetic.Product(run, divisor, digit, Place);
        WriteStep(WorkFields.Cycles.Product, product);
        Left = run.Ask(DivisionDecisions.Taking, context with { Product = product }) switch
        {
            TakingProduct.TensOfDivisorOnly => CycleArithmetic.Difference(run, part, digit * (divisor / 10 * 10), Place),
            TakingProduct.ThrowRestAway => 0,
            TakingProduct.ThrowRestAwayIfLast => context.IsLast ? 0 : CycleArithmetic.Difference(run, part, product, Place),
            TakingProduct.Add => part + product,
            TakingProduct.KeepProduct => product,
            _ => CycleArithmetic.Difference(run, part, product, Place),
        };
        if (run.IsOpen(DivisionDecisions.RestIs)) Left = Changed(Left, run.Decide(DivisionDecisions.RestIs, context, Capped(Left)));
        else run.PassOver();
        WriteStep(WorkFields.Cycles.Difference, Left);
        if (Left < divisor || run.Ask(DivisionDecisions.Rest, context with { Rest = Left }) != LargeRest.DivideAgain) return;
        WriteDigit(Left / divisor);
        Left %= divisor;
    }

    /// <summary>The digit that the student's own table of the divisor gives: the largest multiple that is not more than the number at hand.</summary>
    private readonly long ByOwnTable()
    {
        if (divisor > 9) return part / divisor;
        for (var digit = 9; digit > 0; digit--)
            if (run.Recalled(new NumberFact(FactKind.Times, digit, (int)divisor)) <= part) return digit;
        return 0;
    }

    /// <summary>Brings the next digit down, or ends the work; false at the end.</summary>
    private bool GoOn()
    {
        var context = Context(Left);
        if (used == digits.Length)
        {
            if (Left == 0 || appended == mostAppended) return false;
            var extension = run.Ask(DivisionDecisions.Extend, context);
            if (extension == Extension.Finish || (extension == Extension.OneZeroOnly && appended > 0)) return false;
            if (extension == Extension.AppendZeroWriteZero)
            {
                MarkPoint(context with { IsAfterPoint = true });
                WriteDigit(0);
            }

            appended++;
            part = Left;
            Append(0);
            return part < CycleArithmetic.Largest;
        }

        part = Left;
        switch (run.Ask(DivisionDecisions.Bring, context))
        {
            case BringDown.Stop:
                return false;
            case BringDown.InFront when part > 0:
                var digit = digits[used++];
                var unit = 1L;
                while (unit <= part) unit *= 10;
                brought = digit;
                part += digit * unit;
                WriteStep(WorkFields.Cycles.BroughtDown, digit);
                break;
            case BringDown.AddedToRest:
                brought = digits[used++];
                part += brought;
                WriteStep(WorkFields.Cycles.BroughtDown, brought);
                break;
            case BringDown.OnesOfRestOnly:
                part %= 10;
                TakeDigit();
                break;
            case BringDown.SkipLast when used == digits.Length - 1:
                used++;
                return GoOn();
            case BringDown.LastIsRest when used == digits.Length - 1:
                Left = digits[used++];
                return false;
            case BringDown.Two when used + 1 < digits.Length:
                TakeDigit();
                TakeDigit();
                break;
            case BringDown.LastDigit:
                used++;
                Append(digits[^1]);
                break;
            case BringDown.DigitOnly:
                part = 0;
                TakeDigit();
                break;
            case BringDown.OneAndSkip when used + 1 < digits.Length:
                used++;
                TakeDigit();
                break;
            default:
                TakeDigit();
                break;
        }

        if (run.IsOpen(DivisionDecisions.NextIs)) part = Changed(part, run.Decide(DivisionDecisions.NextIs, context, Capped(part)));
        else run.PassOver();
        return part < CycleArithmetic.Largest;
    }

    private static int Capped(long value) => (int)Math.Min(value, 1_000_000);

    private static long Changed(long value, int decided) => decided == Capped(value) ? value : decided;

    private void TakeDigit() => Append(digits[used++]);

    private void Append(int digit)
    {
        if (Written > 0 || hasDigit) WriteStep(WorkFields.Cycles.BroughtDown, digit);
        brought = digit;
        part = part * 10 + digit;
    }

    private void MarkPoint(CycleContext context)
    {
        if (PointAt >= 0 || !context.IsAfterPoint) return;
        PointAt = run.Ask(DivisionDecisions.Point, context) switch
        {
            QuotientPoint.Forget => int.MaxValue,
            QuotientPoint.AfterFirstDigit => 1,
            _ => Written,
        };
    }

    private void WriteDigit(long digit)
    {
        // A cycle writes two digits at the most; only rules that contradict each other could write more, and these are left out.
        if (Written < Quotient.Length) Quotient[Written++] = (int)Math.Min(digit, 999_999);
        hasDigit |= digit > 0;
        if (digit > 0)
        {
            for (; zerosDue > 0 && Written < Quotient.Length; zerosDue--) Quotient[Written++] = 0;
        }

        run.Page.Line = cycle++;
        if (run.Page.KeepsMarks) run.Page.Write(WorkFields.Cycles.Quotient, DigitPlace, digit.ToString());
    }

    /// <summary>Ends a cycle in which nothing was written in the quotient: what is brought down next is not of the one after it.</summary>
    private void PassCycle()
    {
        if (Written > 0 || hasDigit) run.Page.Line = cycle++;
    }

    private readonly void WriteStep(MarkKind kind, long value)
    {
        if (run.Page.KeepsMarks) run.Page.Write(kind, DigitPlace, value.ToString());
    }

    /// <summary>The column of the last digit at hand, counted from the end of the dividend.</summary>
    private readonly int Place => digits.Length - used - appended;

    /// <summary>The place of the digit of the quotient in this cycle: over the last digit at hand.</summary>
    private readonly int DigitPlace => wholeDigits - used - appended;

    private readonly CycleContext Context(long rest) => new()
    {
        Cycle = cycle,
        Place = DigitPlace,
        Part = part,
        Divisor = divisor,
        Brought = brought,
        DigitsLeft = digits.Length - used,
        Written = Written,
        HasDigit = hasDigit,
        IsAfterPoint = used + appended > wholeDigits,
        Appended = appended,
        AsksDecimal = asksDecimal,
        Rest = rest,
        Taken = used,
        NextDigit = used < digits.Length ? digits[used] : -1,
        DigitAfterNext = used + 1 < digits.Length ? digits[used + 1] : -1,
        LastDigit = digits[^1],
    };
}
