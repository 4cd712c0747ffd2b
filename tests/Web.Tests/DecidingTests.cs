using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>What is decided about a page, where it lies on the desk, and what is said when the page changes.</summary>
public sealed class DecidingTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task What_explanations_share_is_told_once_and_each_rule_has_its_strip()
    {
        var (visitor, _, page) = await PageAsync("27 + 38 = 55\n46 + 37 = 73\n58 + 25 = 73\n19 + 64 = 73\n52 - 38 = 26\n81 - 27 = 66\n604 - 278 = 474\n86 - 42 = 44");
        using var __ = visitor;
        var aside = (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector("ol.explanations > li")!;
        var sentences = aside.QuerySelectorAll(".sentence").Select(s => string.Join(' ', s.TextContent.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries))).ToList();
        sentences[0].ShouldBe("In each of these: Turns the column round wherever the top digit is too small, and takes the top digit from the bottom one. 3 of 3 items.");
        sentences[1].ShouldContain("Writes the ones of a column’s sum and forgets the tens; the leftmost sum is written in full. 4 of 4 items.");
        sentences.Skip(1).ShouldAllBe(s => !s.Contains("Turns the column round"));
        aside.QuerySelectorAll(".striplabel").Select(l => l.TextContent).ShouldBe(["the one that is not told apart", "Turns the column round"], ignoreOrder: true);
        aside.QuerySelectorAll(".strip").Select(s => s.GetAttribute("aria-label")).ShouldBe(["agrees on 1, 2, 3, 4; silent 5, 6, 7, 8", "agrees on 5, 6, 7; silent 1, 2, 3, 4, 8"], ignoreOrder: true);
    }

    [Fact]
    public async Task After_accepting_the_reading_shows_the_plan_and_no_second_accept()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector(".nextstep a.next")!.GetAttribute("href").ShouldBe(plan);
        reading.QuerySelectorAll("form[action*=Accept]").ShouldBeEmpty();
        reading.QuerySelectorAll(".next").Length.ShouldBe(1);
    }

    [Fact]
    public async Task Accepting_that_there_is_no_bug_accepts_just_that()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading?rules=sound");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", ""));
        visitor.Address.ShouldBe($"/pages/{page}/reading");
        ((string)(await App.SqlAsync($"select rules from decisions where page_id = '{page}'"))!).ShouldBeEmpty();
        (await CountAsync($"select count(*) from plans where page_id = '{page}'")).ShouldBe(0);
        (await PilesOfAsync(visitor, code)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_fault_keeps_the_explanation_that_was_chosen()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        var back = await visitor.PostAsync($"/pages/{page}/reading?handler=Name", ("rules", "subtraction.zero-becomes-nine-alone"), ("text", " "));
        back.QuerySelector(".fault")!.TextContent.ShouldBe("Write the name first.");
        back.QuerySelector(".decide h2")!.TextContent.ShouldContain("Zero becomes nine, nobody lends");
        back.QuerySelector(".sentence:has(span.ink)")!.TextContent.ShouldContain("Turns the zero next door into 9");
    }

    [Fact]
    public async Task Rejecting_one_of_several_says_which_and_leaves_the_page_waiting()
    {
        var (visitor, code, page) = await PageAsync("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        var after = await visitor.PostAsync($"/pages/{page}/reading?handler=Reject", ("rules", "subtraction.zero-becomes-nine-alone"));
        after.QuerySelector(".note.key")!.TextContent.ShouldContain("Rejected by Demo specialist");
        after.QuerySelector(".note.key")!.TextContent.ShouldContain("“Zero becomes nine, nobody lends”");
        (await PilesOfAsync(visitor, code)).ShouldBe(["decide"]);
    }

    [Fact]
    public async Task What_is_rejected_is_said_nowhere_any_more_until_it_is_taken_back()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector("h1")!.TextContent.ShouldContain("turns the column round");
        var after = await visitor.PostAsync($"/pages/{page}/reading?handler=Reject", ("rules", Turns));
        after.QuerySelector("h1")!.TextContent.ShouldStartWith("You rejected “Turns the column round”. ");
        after.QuerySelectorAll("form[action*=Accept] input[name=rules]").ShouldAllBe(i => i.GetAttribute("value") != Turns);
        ((string)(await App.SqlAsync($"select rules from readings where page_id = '{page}'"))!).ShouldNotBe(Turns);
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").Single(li => li.TextContent.Contains(code)).TextContent.ShouldNotContain("Turns the column round");

        await visitor.GetAsync($"/pages/{page}/reading");
        var back = await visitor.PostAsync($"/pages/{page}/reading?handler=Restore", ("rules", Turns));
        back.QuerySelector("h1")!.TextContent.ShouldContain("turns the column round");
        ((string)(await App.SqlAsync($"select rules from readings where page_id = '{page}'"))!).ShouldBe(Turns);
    }

    [Fact]
    public async Task An_own_explanation_is_tried_on_the_page_with_its_count_and_can_be_planned_for()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        var tried = await visitor.GetAsync($"/pages/{page}/reading?rules=subtraction.nobody-lends");
        tried.QuerySelector("section[aria-label='Tried on the page'] .sentence")!.TextContent.ShouldContain("of 3 items");
        tried.QuerySelector(".decide h2")!.TextContent.ShouldContain("Ten from nowhere");
        var refused = await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", "subtraction.nobody-lends"));
        refused.QuerySelector(".fault")!.TextContent.ShouldStartWith("This explanation gives no answer of the page");
        await visitor.GetAsync($"/pages/{page}/reading?rules=subtraction.turns-round-in-ones");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", "subtraction.turns-round-in-ones"));
        visitor.Address.ShouldStartWith("/plans/");
        (await visitor.GetAsync($"/pages/{page}/reading?rules=unlisted:addition.digit/with-nine/one-down")).QuerySelector("section[aria-label='Tried on the page']").ShouldBeNull();
        (await visitor.GetAsync($"/pages/{page}/reading?rules=addition.carry-dropped")).QuerySelector("section[aria-label='Tried on the page']").ShouldBeNull();
    }

    [Fact]
    public async Task A_rule_is_looked_for_behind_some_items_alone()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66\n90 - 34 = 64\n703 - 245 = 558\n40 - 17 = 23");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        (await visitor.PostAsync($"/pages/{page}/reading?handler=Behind", ("items", "1"))).QuerySelector(".fault")!.TextContent.ShouldContain("two items or more");
        await visitor.GetAsync($"/pages/{page}/reading");
        var found = await visitor.PostManyAsync($"/pages/{page}/reading?handler=Behind", [("items", "1"), ("items", "2"), ("items", "3")]);
        found.QuerySelector(".fault")?.TextContent.ShouldBeNull();
        visitor.Address.ShouldContain("rules=subtraction.turns-column-round");
    }

    [Fact]
    public async Task Own_words_settle_the_page()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        (await visitor.PostAsync($"/pages/{page}/reading?handler=Own", ("text", " "))).QuerySelector(".fault")!.TextContent.ShouldBe("Write first what the student does.");
        await visitor.GetAsync($"/pages/{page}/reading");
        var after = await visitor.PostAsync($"/pages/{page}/reading?handler=Own", ("text", "looks at the smaller digit first"));
        after.QuerySelector("h1")!.TextContent.ShouldBe("“looks at the smaller digit first”");
        (await PilesOfAsync(visitor, code)).ShouldBeEmpty();
        (await visitor.GetAsync($"/students/{code}")).QuerySelector("tbody")!.TextContent.ShouldContain("Said in own words by Demo specialist");
    }

    [Fact]
    public async Task A_page_that_makes_sense_only_from_the_other_side_is_asked_about_before_a_rule_is_named()
    {
        var (visitor, code, page) = await PageAsync("604 - 278 = 623\n523 - 168 = 553\n81 - 27 = 45\n700 - 352 = 843");
        using var __ = visitor;
        var asked = await visitor.GetAsync($"/pages/{page}/reading");
        asked.QuerySelector("h1")!.TextContent.ShouldBe("All 4 answers are right when they are read from the other side.");
        asked.QuerySelectorAll(".explanations").ShouldBeEmpty();
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").Single(li => li.TextContent.Contains(code)).TextContent.ShouldContain("to ask: from which side was it typed in?");
        await visitor.GetAsync($"/pages/{page}/reading");
        var turned = await visitor.PostAsync($"/pages/{page}/reading?handler=Turn");
        turned.QuerySelector("h1")!.TextContent.ShouldNotContain("other side");
        ((string)(await App.SqlAsync($"select content->'items'->0->>'answer' from pages where id = '{page}'"))!).ShouldBe("326");
    }

    [Fact]
    public async Task Where_the_paper_shows_them_so_it_is_not_asked_again()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 623\n523 - 168 = 553\n81 - 27 = 45\n700 - 352 = 843");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        var left = await visitor.PostAsync($"/pages/{page}/reading?handler=WrittenSo");
        left.QuerySelector("h1")!.TextContent.ShouldNotContain("other side");
        left.QuerySelectorAll(".explanations").Length.ShouldBe(1);
        ((string)(await App.SqlAsync($"select content->'items'->0->>'answer' from pages where id = '{page}'"))!).ShouldBe("623");
    }

    [Fact]
    public async Task Every_page_that_is_not_finished_lies_in_exactly_one_pile_until_its_plan_is_closed()
    {
        var (visitor, code, page) = await PageAsync("604 - 278\n52 - 38\n81 - 27");
        using var __ = visitor;
        (await PilesOfAsync(visitor, code)).ShouldBe(["type"]);
        await visitor.GetAsync($"/pages/{page}");
        await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "474" }, new { id = "2", version = 1, answer = "26" }, new { id = "3", version = 1, answer = "66" } });
        await visitor.PostAsync($"/pages/{page}", ("marksComplete", "false"));
        (await PilesOfAsync(visitor, code)).ShouldBe(["decide"]);
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        (await PilesOfAsync(visitor, code)).ShouldBe(["print"]);
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").Single(li => li.TextContent.Contains(code)).TextContent.ShouldContain("3 items");
        await visitor.GetAsync(plan);
        (await visitor.PostAsync(plan, ("printed", "true"))).QuerySelector("main")!.TextContent.ShouldContain("Not printed: put it back on the desk");
        (await PilesOfAsync(visitor, code)).ShouldBe(["taught"]);
        await visitor.PostAsync(plan, ("printed", "false"));
        (await PilesOfAsync(visitor, code)).ShouldBe(["print"]);
    }

    [Fact]
    public async Task After_answers_were_corrected_reading_desk_plan_and_file_say_so_and_no_decision_disappears()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        await visitor.GetAsync($"/pages/{page}");
        await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "326" }, new { id = "2", version = 1, answer = "14" }, new { id = "3", version = 1, answer = "54" } });

        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").Single(li => li.TextContent.Contains(code)).TextContent.ShouldContain("changed since it was read");
        (await visitor.GetAsync(plan)).QuerySelector(".fault")!.TextContent.ShouldContain("The page was changed after this plan was made.");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector(".fault")!.TextContent.ShouldContain("changed after it was decided on");
        reading.QuerySelectorAll(".note.key").ShouldContain(n => n.TextContent.Contains("Accepted by Demo specialist") && n.TextContent.Contains("“Turns the column round”") && n.TextContent.Contains("before the page was changed"));
        (await PilesOfAsync(visitor, code)).ShouldBe(["decide"]);
        (await visitor.GetAsync($"/students/{code}")).QuerySelector("tbody")!.TextContent.ShouldContain("before the page was changed");
    }

    [Fact]
    public async Task A_plan_that_still_fits_a_changed_page_is_kept_and_one_that_does_not_can_be()
    {
        var (visitor, _, page) = await PageAsync("523 - 168 = 445\n74 - 38 = 44\n85 - 29 = 64\n641 - 275 = 434\n932 - 457 = 525\n786 - 343 = 443");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;

        await visitor.GetAsync($"/pages/{page}");
        await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "6", version = 1, answer = "433" } });
        var next = (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".nextstep")!;
        next.TextContent.ShouldContain("so it still fits");
        next.QuerySelector("a")!.GetAttribute("href").ShouldBe(plan);
        next.QuerySelectorAll(".next").Length.ShouldBe(1);
        var id = next.QuerySelector("input[name=plan]")!.GetAttribute("value")!;
        (await visitor.PostAsync($"/pages/{page}/reading?handler=KeepPlan", ("plan", id))).QuerySelectorAll(".fault").ShouldBeEmpty();
        visitor.Address.ShouldBe(plan);
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".nextstep a.next")!.GetAttribute("href").ShouldBe(plan);
        (await CountAsync($"select count(*) from plans where page_id = '{page}'")).ShouldBe(1);

        await visitor.GetAsync($"/pages/{page}");
        object[] right = [new { id = "1", version = 1, answer = "355" }, new { id = "2", version = 1, answer = "36" }, new { id = "3", version = 1, answer = "56" }, new { id = "4", version = 1, answer = "366" }, new { id = "5", version = 1, answer = "475" }];
        await visitor.PutAsync($"/api/pages/{page}/items", right);
        var other = (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".nextstep")!;
        other.TextContent.ShouldContain("does not come to the same");
        other.QuerySelector("form[action*=KeepPlan] button")!.TextContent.ShouldBe("Keep the plan all the same");
    }

    [Fact]
    public async Task The_specialists_own_name_for_a_rule_is_used_everywhere()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        try
        {
            (await visitor.PostAsync($"/pages/{page}/reading?handler=Name", ("rules", Turns), ("text", "the turner"))).QuerySelector("h1")!.TextContent.ShouldStartWith("“the turner”: Pim turns");
            await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
            var plan = visitor.Address;
            (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent.ShouldContain("“the turner”:");
            (await visitor.GetAsync($"/students/{code}")).QuerySelector("tbody")!.TextContent.ShouldContain("Plan: the turner");
            (await visitor.GetAsync("/")).QuerySelectorAll("table.ledger tr").Single(r => r.TextContent.Contains(code)).TextContent.ShouldContain("the turner");
            (await visitor.GetAsync($"/pages/{page}/items/1")).QuerySelector("main")!.TextContent.ShouldContain("Shown with: the turner");

            // Also on the page of another student.
            var (other, _, otherPage) = await PageAsync();
            using var ___ = other;
            (await other.GetAsync($"/pages/{otherPage}/reading")).QuerySelector("h1")!.TextContent.ShouldStartWith("“the turner”");
        }
        finally
        {
            await App.SqlAsync("delete from rule_names");
        }
    }

    [Fact]
    public async Task A_name_and_a_note_are_two_fields_and_neither_accepts()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector("#note")!.Closest("form")!.GetAttribute("action").ShouldEndWith("handler=Note");
        reading.QuerySelector("#ownName")!.Closest("form")!.GetAttribute("action").ShouldEndWith("handler=Name");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", Turns), ("text", "a note"));
        (await CountAsync($"select count(*) from decisions where page_id = '{page}' and kind = 'Accepted'")).ShouldBe(0);
    }

    [Fact]
    public async Task An_unexplained_page_has_a_next_step_a_note_items_and_what_was_tried()
    {
        var (visitor, code, page) = await PageAsync("604 - 278 = 88888\n523 - 168 = 7777\n80 - 36 = 1\n703 - 245 = 99999\n952 - 367 = 3");
        using var __ = visitor;
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelectorAll(".next").Single().TextContent.ShouldBe("Keep what was said");
        reading.QuerySelector("aside")!.TextContent.ShouldContain("Tried: 72 listed rules");
        reading.QuerySelectorAll("form[action*=Ask]").Length.ShouldBe(1);
        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", ""), ("text", "counts on the fingers"), ("item", "1"));
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".note.key")!.TextContent.ShouldContain("item 1: counts on the fingers");
        await visitor.PostAsync($"/pages/{page}/reading?handler=PutAside");
        (await PilesOfAsync(visitor, code)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_plan_that_was_thrown_away_can_be_made_again_and_another_explanation_accepted_instead()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var first = visitor.Address;
        await visitor.GetAsync(first);
        var id = (await visitor.PostAsync(first + "?handler=ThrowAway")).QuerySelector("main form input[name=id]")!.GetAttribute("value")!;
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".next")!.TextContent.ShouldBe("Make the plan again");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        visitor.Address.ShouldNotBe(first);
        await visitor.GetAsync("/thrown-away");
        (await visitor.PostAsync("/thrown-away", ("id", id))).QuerySelector(".fault")!.TextContent.ShouldContain("made again since");
        var sound = await visitor.GetAsync($"/pages/{page}/reading?rules=sound");
        sound.QuerySelectorAll(".decide form[action*=Accept]").Length.ShouldBe(1);
        sound.QuerySelectorAll(".next").Length.ShouldBe(1);
        (await PilesOfAsync(visitor, code)).ShouldBe(["print"]);
    }

    [Fact]
    public async Task A_plan_is_shown_as_it_was_made_whatever_is_called_or_made_otherwise_since()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        var made = (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent;
        var practice = (await visitor.GetAsync(plan + "/practice")).QuerySelector("main")!.InnerHtml;

        // Another engine would choose other numbers: what is kept is what is shown.
        ((string)(await App.SqlAsync($"select engine_version from plans where page_id = '{page}'"))!).Length.ShouldBe(16);
        await App.SqlAsync($"update plans set seed = 8, most_digits = 5, engine_version = 'an older one' where page_id = '{page}'");
        (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent.ShouldBe(made);
        (await visitor.GetAsync(plan + "/practice")).QuerySelector("main")!.InnerHtml.ShouldBe(practice);

        // Renamed, the rule has its new name in the file and the old one on the paper that is in the folder.
        await visitor.GetAsync($"/pages/{page}/reading");
        try
        {
            await visitor.PostAsync($"/pages/{page}/reading?handler=Name", ("rules", Turns), ("text", "the flipper"));
            (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent.ShouldBe(made);
            (await visitor.GetAsync($"/students/{code}")).QuerySelector("tbody")!.TextContent.ShouldContain("the flipper");
        }
        finally
        {
            await App.SqlAsync("delete from rule_names");
        }
    }

    [Fact]
    public async Task A_plan_of_before_plans_were_kept_is_made_once_more_and_then_kept()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        await App.SqlAsync($"update plans set content = '', engine_version = '' where page_id = '{page}'");
        var shown = (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent;
        ((string)(await App.SqlAsync($"select content from plans where page_id = '{page}'"))!).ShouldStartWith("{");
        await App.SqlAsync($"update plans set seed = 8 where page_id = '{page}'");
        (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent.ShouldBe(shown);
    }
}
